<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\Quantity\Count;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;

/**
 * A recording of a tone test. Its files are deleted after 7 days unless they are kept; what was read of them stays.
 *
 * @property int $id
 * @property int $rig_id
 * @property int|null $user_id  who brought it in
 * @property int $revision  of the rig then
 * @property string $situation
 * @property string $unit  what recorded it
 * @property array<array-key, list<array{int, bool}>> $played  number of each part of a sound, and whether in bursts, by source
 * @property list<array{name: string, bytes: int}> $files  in the order of the tracks
 * @property list<array{string, float, float}> $marks  whose voice was marked, from when to when, s
 * @property array{seed: int, what: list<string>, words?: list<string>}|null $hidden  what a simulated room has; null for a real one
 * @property TakeState $state
 * @property string $trouble  why it failed
 * @property int $done  thousandths
 * @property array<string, mixed>|null $read  as {@see \App\Takes\ReadTracks} has it
 * @property bool $is_kept
 * @property Carbon $created_at
 * @property-read User|null $user
 * @property-read Rig|null $rig
 */
final class ToneTake extends Model
{
    private const DAYS = 7;

    protected $fillable = [
        'user_id', 'revision', 'situation', 'unit', 'played', 'files', 'marks', 'hidden', 'state', 'trouble', 'done', 'read', 'is_kept',
    ];

    protected $casts = [
        'played' => 'array', 'files' => 'array', 'marks' => 'array', 'hidden' => 'array', 'state' => TakeState::class, 'read' => 'array',
        'is_kept' => 'boolean', 'done' => 'integer', 'revision' => 'integer',
    ];

    protected static function booted(): void
    {
        // Files of a number that a restored backup gives again are not those of the new one.
        self::created(fn (self $take) => Storage::deleteDirectory($take->folder()));
        self::deleted(fn (self $take) => Storage::deleteDirectory($take->folder()));
    }

    /** The files of a rig that is gone: its rows went with it. */
    public static function forget(int $rig): void
    {
        Storage::deleteDirectory("takes/{$rig}");
    }

    /** Deletes the files whose time is over, and what never came in whole. @return int of how many recordings */
    public static function tidy(): int
    {
        $old = self::query()->where('is_kept', false)->where('files', '!=', '[]')
            ->where('created_at', '<', now()->subDays(self::DAYS))->get();
        foreach ($old as $take) {
            Storage::deleteDirectory($take->folder());
            $take->state->isOpen() ? $take->delete() : $take->update(['files' => []]);
        }

        return $old->count();
    }

    /** @return BelongsTo<Rig, $this> */
    public function rig(): BelongsTo
    {
        return $this->belongsTo(Rig::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function folder(): string
    {
        return "takes/{$this->rig_id}/{$this->id}";
    }

    /** The path of a file of it, by its index in the list. */
    public function file(int $index): string
    {
        return "{$this->folder()}/{$index}";
    }

    /** How long its files are still there. */
    public function kept(): string
    {
        $days = max(0, (int) ceil(self::DAYS - $this->created_at->diffInDays(now())));

        return match (true) {
            $this->files === [] => 'its files are deleted',
            $this->is_kept => 'its files are kept',
            default => 'its files are deleted in '.Count::of($days, 'day'),
        };
    }

    /** Its state in words. */
    public function says(): string
    {
        return match ($this->state) {
            TakeState::Coming => 'is coming in',
            TakeState::Waiting => 'waits for its turn',
            TakeState::Working => 'is being read, '.intdiv($this->done, 10).' %',
            TakeState::Done => 'read',
            TakeState::Failed => "failed: {$this->trouble}",
            TakeState::Stopped => 'stopped',
        };
    }
}
