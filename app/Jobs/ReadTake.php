<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\TakeState;
use App\Models\ToneTake;
use App\Rigs\Memory;
use App\Rigs\StoredRig;
use App\Takes\SimulatedTake;
use App\Takes\TakeFiles;
use App\Takes\TakeReader;
use HiddenWire\Core\Audio\InvalidSound;
use HiddenWire\Core\Planning\Hearings;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Reads the recording of a tone test in the background, however long it takes: says how far it is, and ends where it is told to stop. A
 * simulated one is rendered first. A worker that dies leaves it to the next one, which begins it again.
 */
final class ReadTake implements ShouldQueue
{
    use Queueable;

    /** Its worker, which does one at a time and is then started anew: PHP compiles best for one kind of work. */
    public const QUEUE = 'takes';

    public int $tries = 3;

    /** None: an hour of many tracks takes as long as it takes. */
    public int $timeout = 0;

    private const MEMORY = '1G';

    /** The share of the work that rendering is. */
    private const RENDERED = 0.6;

    public function __construct(public readonly int $take)
    {
        $this->onQueue(self::QUEUE);
    }

    public function handle(): void
    {
        $take = ToneTake::query()->with('rig')->find($this->take);
        if ($take === null || $take->rig === null || ! in_array($take->state, [TakeState::Waiting, TakeState::Working], true)) {
            return;
        }
        Memory::raise(self::MEMORY);
        $take->update(['state' => TakeState::Working, 'done' => 0, 'trouble' => '']);
        $files = new TakeFiles($take);
        try {
            $rig = StoredRig::load($take->rig);
            $begun = 0.0;
            if ($take->hidden !== null) {
                $simulated = new SimulatedTake(
                    new Hearings($rig),
                    $take->situation,
                    TakeReader::tracksOf($rig, $take->unit),
                    $take->hidden['seed'],
                    $take->hidden['what'],
                );
                $file = $files->path(0);
                $words = $simulated->write($file, fn (float $share) => $this->progress($take, self::RENDERED * $share));
                $take->update(['hidden' => [...$take->hidden, 'words' => $words],
                    'files' => [['name' => 'simulated.wav', 'bytes' => (int) filesize($file)]]]);
                $files->keep(0);
                $begun = self::RENDERED;
            }
            $read = (new TakeReader($rig, $take))->read(fn (float $share) => $this->progress($take, $begun + (1 - $begun) * $share));
            $take->update(['state' => TakeState::Done, 'done' => 1000, 'read' => $read->toArray()]);
        } catch (Stopped) {
            // Whoever stopped it has said so already.
        } catch (InvalidSound $e) {
            $take->update(['state' => TakeState::Failed, 'trouble' => mb_strimwidth($e->getMessage(), 0, 400, '…')]);
        } finally {
            $files->leave();
        }
    }

    public function failed(?\Throwable $e): void
    {
        ToneTake::query()->whereKey($this->take)->whereIn('state', [TakeState::Waiting, TakeState::Working])->update([
            'state' => TakeState::Failed, 'trouble' => 'Something went wrong here while it was read. Try once more; the log says what.',
        ]);
    }

    /** @throws Stopped where somebody has stopped it, or it is gone */
    private function progress(ToneTake $take, float $share): void
    {
        $done = (int) round(1000 * $share);
        if ($done <= $take->done) {
            return;
        }
        $mine = ToneTake::query()->whereKey($take->id)->where('state', TakeState::Working);
        if ((clone $mine)->update(['done' => $done]) === 0 && $mine->doesntExist()) {
            throw new Stopped;
        }
        $take->done = $done;
        $take->syncOriginalAttribute('done');
    }
}
