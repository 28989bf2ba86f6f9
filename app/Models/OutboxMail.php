<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A mail that would have been sent, had the server a mailer. Links in it open accounts: its text is encrypted.
 *
 * @property int $id
 * @property string $to
 * @property string $subject
 * @property string $text
 * @property Carbon $created_at
 */
final class OutboxMail extends Model
{
    protected $table = 'outbox_mails';

    public const UPDATED_AT = null;

    protected $fillable = ['to', 'subject', 'text'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['text' => 'encrypted'];
    }

    /** @return list<array{text: string, isLink: bool}> the text, parted into links and what is between them */
    public function pieces(): array
    {
        $pieces = preg_split('~(https?://[^\s<>()\[\]"]+)~', $this->text, flags: PREG_SPLIT_DELIM_CAPTURE) ?: [];

        return array_map(fn (string $piece, int $i) => ['text' => $piece, 'isLink' => $i % 2 === 1], $pieces, array_keys($pieces));
    }
}
