<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;

/**
 * A book that was asked for: it waits, is being made, is there, has failed, or was stopped.
 *
 * @property int $id
 * @property int $rig_id
 * @property int $user_id
 * @property array{parts: list<string>|null, paper: string, revision: int|null, order?: string, lengths?: string} $asked
 * @property string $edition
 * @property BookState $state
 * @property string $trouble  why it failed
 * @property int $done  parts written
 * @property int $of  parts in all; 0 before anything is known
 * @property int $bytes
 * @property int $run  which try this is, from 1
 * @property string|null $worker  who makes it, while it is being made
 * @property int|null $revision  of which it is, once it is made
 * @property Carbon $created_at
 */
final class MadeBook extends Model
{
    protected $table = 'books';

    protected $fillable = ['user_id', 'asked', 'edition', 'state', 'trouble', 'done', 'of', 'bytes', 'revision', 'run', 'worker'];

    protected $casts = ['asked' => 'array', 'state' => BookState::class];

    protected static function booted(): void
    {
        self::deleted(fn (self $book) => Storage::delete($book->file()));
    }

    /** The files of a rig that is gone: its rows went with it. */
    public static function forget(int $rig): void
    {
        Storage::deleteDirectory("books/{$rig}");
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    public function file(): string
    {
        return "books/{$this->rig_id}/{$this->id}.pdf";
    }

    /** Its state in words. */
    public function says(): string
    {
        return match ($this->state) {
            BookState::Waiting => 'waits for its turn',
            BookState::Working => $this->of === 0 ? 'is begun' : "part {$this->done} of {$this->of}",
            BookState::Done => 'ready, '.number_format($this->bytes / 1000).' kB',
            BookState::Failed => "failed: {$this->trouble}",
            BookState::Stopped => 'stopped',
        };
    }
}
