<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Exports\BookPdf;
use App\Exports\Edition;
use App\Exports\Paper;
use App\Models\BookState;
use App\Models\MadeBook;
use App\Rigs\Memory;
use HiddenWire\Core\Book\ScheduleOrder;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\DetectsLostConnections;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Storage;

/**
 * Writes a book's PDF in the background: says after each part how far it is, and ends where it is told to stop. A worker that dies, or
 * loses the database, leaves the book to the next one, which begins it again.
 */
final class MakeBook implements ShouldQueue
{
    use DetectsLostConnections;
    use Queueable;

    public int $tries = 1;

    /** Seconds after which it is given up. */
    public int $timeout = 300;

    /** What a large book may take. */
    private const MEMORY = '768M';

    /** So often a book is begun: one that ends its worker each time has to end as well. */
    private const MOST_RUNS = 3;

    /** @param  int  $run  which try this is; one that is no longer the book's does nothing */
    public function __construct(public readonly int $book, public readonly int $run)
    {
    }

    /** Begins again what this worker is said to be making, where it makes nothing: there is one of its name. */
    public static function beginAgain(): void
    {
        foreach (MadeBook::query()->where('state', BookState::Working)->where('worker', self::worker())->get() as $book) {
            if ($book->run >= self::MOST_RUNS) {
                $book->update(['state' => BookState::Failed,
                    'trouble' => 'It was begun '.self::MOST_RUNS.' times, and broken off each time. Pick fewer parts.']);

                continue;
            }
            $run = $book->run + 1;
            $book->update(['state' => BookState::Waiting, 'run' => $run, 'worker' => null, 'done' => 0]);
            self::dispatch($book->id, $run);
        }
    }

    /** The name of the worker in this folder of this machine; others have others. */
    private static function worker(): string
    {
        return substr(sha1(php_uname('n')."\n".base_path()."\n".config('app.node')), 0, 16);
    }

    /** @throws \Throwable what went wrong, once the book is marked so */
    public function handle(): void
    {
        $book = MadeBook::query()->with('rig')->find($this->book);
        if ($book === null || $book->rig === null || $book->state !== BookState::Waiting || $book->run !== $this->run) {
            return;
        }
        Memory::raise(self::MEMORY);
        $book->update(['state' => BookState::Working, 'worker' => self::worker()]);
        try {
            $asked = $book->asked;
            $order = ScheduleOrder::tryFrom($asked['order'] ?? '') ?? ScheduleOrder::Label;
            $lengths = Lengths::tryFrom($asked['lengths'] ?? '') ?? Lengths::Metric;
            $edition = Edition::of($book->rig, $asked['revision'], isPatient: true, order: $order, lengths: $lengths, isSigned: true);
            $writer = new BookPdf(
                $edition->drawings,
                $asked['parts'],
                Paper::from($asked['paper']),
                fn (int $done, int $of) => $this->progress($book, $done, $of),
            );
            $written = $writer->write($edition->source);
            Storage::put($book->file(), $written);
            $book->update(['state' => BookState::Done, 'edition' => $edition->source->edition, 'bytes' => strlen($written),
                'revision' => $asked['revision'] ?? $book->rig->at]);
        } catch (Stopped) {
            // Whoever stopped it has said so already.
        } catch (\Throwable $e) {
            report($e);
            if ($this->causedByLostConnection($e)) {
                throw $e;
            }
            $book->update(['state' => BookState::Failed, 'trouble' => mb_strimwidth($e->getMessage(), 0, 400, '…')]);
        }
    }

    /** Given up for its time: said where somebody waits for it. Where the database was lost, it is begun again. */
    public function failed(?\Throwable $e): void
    {
        if ($e !== null && $this->causedByLostConnection($e)) {
            self::beginAgain();

            return;
        }
        $open = [BookState::Waiting, BookState::Working];
        MadeBook::query()->whereKey($this->book)->where('run', $this->run)->whereIn('state', $open)->update([
            'state' => BookState::Failed, 'trouble' => 'It took longer than '.$this->timeout.' seconds. Pick fewer parts.',
        ]);
    }

    /** @throws Stopped where somebody has stopped it, or it is gone */
    private function progress(MadeBook $book, int $done, int $of): void
    {
        $mine = MadeBook::query()->whereKey($book->id)->where('run', $this->run)->where('state', BookState::Working);
        $isOn = (clone $mine)->update(['done' => $done, 'of' => $of]);
        if ($isOn === 0 && $mine->doesntExist()) {
            throw new Stopped;
        }
    }
}
