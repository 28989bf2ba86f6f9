<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\OutboxMail;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\MessageConverter;

/** A stand-in for a mail server: sends nothing, and keeps what would have been sent, the latest of it. */
final class OutboxTransport extends AbstractTransport
{
    /** So many mails are kept. */
    public const MOST = 200;

    protected function doSend(SentMessage $message): void
    {
        $original = $message->getOriginalMessage();
        if (! $original instanceof Message) {
            throw new \LogicException('The framework sends messages that can be read.');
        }
        $email = MessageConverter::toEmail($original);
        OutboxMail::query()->create([
            'to' => implode(', ', array_map(fn (Address $one) => $one->getAddress(), $email->getTo())),
            'subject' => (string) $email->getSubject(),
            'text' => self::text($email),
        ]);
        $oldest = OutboxMail::query()->latest('id')->skip(self::MOST)->value('id');
        if ($oldest !== null) {
            OutboxMail::query()->where('id', '<=', $oldest)->delete();
        }
    }

    private static function text(Email $email): string
    {
        $text = self::read($email->getTextBody());

        return trim($text === '' ? strip_tags(self::read($email->getHtmlBody())) : $text);
    }

    private static function read(mixed $body): string
    {
        return is_resource($body) ? (string) stream_get_contents($body) : (is_string($body) ? $body : '');
    }

    public function __toString(): string
    {
        return 'outbox';
    }
}
