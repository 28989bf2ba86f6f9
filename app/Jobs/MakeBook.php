<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Exports\BookPdf;
use App\Exports\Edition;
use App\Exports\Paper;
use App\Models\BookState;
use App\Models\MadeBook;
use HiddenWire\Core\Book\ScheduleOrder;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Storage;

/** Writes a book's PDF in the background: says after each part how far it is, and ends where it is told to stop. */
final class MakeBook implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    /** Seconds after which it is given up. */
    public int $timeout = 300;

    /** What a large book may take. */
    private const MEMORY = '768M';

    public function __construct(public readonly int $book)
    {
    }

    public function handle(): void
    {
        $book = MadeBook::query()->with('rig')->find($this->book);
        if ($book === null || $book->rig === null || $book->state !== BookState::Waiting) {
            return;
        }
        $this->makeRoom();
        $book->update(['state' => BookState::Working]);
        try {
            $asked = $book->asked;
            $order = ScheduleOrder::tryFrom($asked['order'] ?? '') ?? ScheduleOrder::Label;
            $edition = Edition::of($book->rig, $asked['revision'], isPatient: true, order: $order);
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
            $book->update(['state' => BookState::Failed, 'trouble' => mb_strimwidth($e->getMessage(), 0, 400, '…')]);
        }
    }

    /** Given up for its time: said where somebody waits for it. */
    public function failed(?\Throwable $e): void
    {
        MadeBook::query()->whereKey($this->book)->whereIn('state', [BookState::Waiting, BookState::Working])->update([
            'state' => BookState::Failed, 'trouble' => 'It took longer than '.$this->timeout.' seconds. Pick fewer parts.',
        ]);
    }

    /** @throws Stopped where somebody has stopped it, or it is gone */
    private function progress(MadeBook $book, int $done, int $of): void
    {
        $isOn = MadeBook::query()->whereKey($book->id)->where('state', BookState::Working)->update(['done' => $done, 'of' => $of]);
        if ($isOn === 0 && MadeBook::query()->whereKey($book->id)->where('state', BookState::Working)->doesntExist()) {
            throw new Stopped;
        }
    }

    private function makeRoom(): void
    {
        $limit = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($limit > 0 && $limit < ini_parse_quantity(self::MEMORY)) {
            ini_set('memory_limit', self::MEMORY);
        }
    }
}
