<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Rig;
use App\Rigs\Heard;
use App\Rigs\Memory;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Signal\Effort;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;

/** Hears a rig in one situation in the background, with more patience than a page has: what was not counted may be then. */
final class HearOn implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    /** Seconds after which it is given up. */
    public int $timeout = 280;

    private const MEMORY = '1536M';

    /** How long it is known that it was tried, in seconds. */
    private const SECONDS = 3600;

    /** @param  string  $state  of the rig, as {@see StoredRig::stateOf()} names it: another one is not what was asked about */
    public function __construct(public readonly int $rig, public readonly string $situation, public readonly string $state)
    {
    }

    /** Asks for it, once for a state and situation. */
    public static function ask(Rig $rig, string $situation): void
    {
        if (Cache::add(self::key(StoredRig::stateOf($rig), $situation), 'asked', self::SECONDS)) {
            self::dispatch($rig->id, $situation, StoredRig::stateOf($rig))->onQueue(self::queueOfNode());
        }
    }

    /** "asked" while it waits or is under way, "done" afterwards; null where nobody has asked. */
    public static function standing(Rig $rig, string $situation): ?string
    {
        $standing = Cache::get(self::key(StoredRig::stateOf($rig), $situation));

        return is_string($standing) ? $standing : null;
    }

    public function handle(): void
    {
        $record = Rig::query()->find($this->rig);
        if ($record === null || StoredRig::stateOf($record) !== $this->state) {
            return;
        }
        Memory::raise(self::MEMORY);
        try {
            $rig = StoredRig::load($record);
        } catch (InvalidDocument) {
            return;
        }
        $situation = $rig->situations[$this->situation] ?? null;
        if ($situation === null) {
            return;
        }
        Heard::keep($record, $situation, new Hearing((new GraphBuilder($rig))->build($situation), effort: Effort::patient()));
        Cache::put(self::key($this->state, $this->situation), 'done', self::SECONDS);
    }

    /** Given up: it can be asked for again. */
    public function failed(?\Throwable $e): void
    {
        Cache::forget(self::key($this->state, $this->situation));
    }

    /** Of the web server whose page waits: what was heard is kept there. */
    public static function queueOfNode(): string
    {
        $node = (string) config('app.node');

        return $node === '' ? 'default' : "node-{$node}";
    }

    private static function key(string $state, string $situation): string
    {
        return "hear-on:{$state}:{$situation}";
    }
}
