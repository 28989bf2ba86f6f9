<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Mail\OutboxTransport;
use App\Models\OutboxMail;
use Illuminate\Console\Command;

/** The mails that would have been sent, for whoever administers a server that has no mailer yet. */
final class ShowOutbox extends Command
{
    protected $signature = 'mail:outbox {--latest=5 : How many, from the latest back}';

    protected $description = 'Show the mails that would have been sent: without a mailer (MAIL_MAILER) they are only kept';

    public function handle(): int
    {
        $range = ['min_range' => 1, 'max_range' => OutboxTransport::MOST];
        $count = filter_var($this->option('latest'), FILTER_VALIDATE_INT, ['options' => $range]);
        if ($count === false) {
            $this->components->error('--latest takes a number from 1 to '.OutboxTransport::MOST.'.');

            return self::FAILURE;
        }
        $mails = OutboxMail::query()->latest('id')->limit($count)->get()->reverse();
        foreach ($mails as $mail) {
            $this->line("To:      {$mail->to}");
            $this->line("Subject: {$mail->subject}");
            $this->line("Date:    {$mail->created_at->toDateTimeString()} UTC");
            $this->newLine();
            $this->line($mail->text);
            $this->line(str_repeat('-', 72));
        }
        if ($mails->isEmpty()) {
            $mailer = (string) config('mail.default');
            $this->line($mailer === 'outbox' ? 'No mail yet.' : "Mails are sent by the mailer \"{$mailer}\".");
        }

        return self::SUCCESS;
    }
}
