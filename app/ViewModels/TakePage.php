<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\TakeState;
use App\Models\ToneTake;
use App\Rigs\Heard;
use App\Takes\ReadTracks;
use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Edit\SetMeasure;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Tones\Difference;
use HiddenWire\Core\Tones\DifferenceKind;
use HiddenWire\Core\Tones\MeasuredDelays;
use HiddenWire\Core\Tones\MeasuredSound;
use HiddenWire\Core\Tones\MeasuredTrack;
use HiddenWire\Core\Tones\MeasuredTracks;
use HiddenWire\Core\Tones\Signature;
use HiddenWire\Core\Tones\TonePlan;

/** What was read of the recording of a tone test, against the plan as it is now. */
final readonly class TakePage
{
    /** A timeline in the drawing's units. */
    public const WIDTH = 640;

    public const ROW = 16;

    public const LEVELS = 34;

    private const LOWEST_DB = -90.0;

    /** Late sounds for which delays are tried: one that is found explains the others too. */
    private const MOST_DELAYS = 4;

    private const LOWEST_LUFS = -60.0;

    public ?MeasuredTracks $measured;

    private ?ReadTracks $read;

    /** What delays of the plan would explain; null where nothing can be held against it. */
    private ?MeasuredDelays $delays;

    public function __construct(public RigPage $page, public ToneTake $take, public bool $reveals)
    {
        $situation = $page->rig->situations[$take->situation] ?? null;
        $this->read = $take->state === TakeState::Done && $take->read !== null
            ? new ReadTracks($take->read['tracks'], $take->read['says'] ?? []) : null;
        if ($this->read === null || $situation === null) {
            [$this->measured, $this->delays] = [null, null];

            return;
        }
        $heard = Heard::in($page->rig, $situation, $page->record);
        $readings = $this->read->readings($page->rig);
        $this->measured = new MeasuredTracks(new TonePlan($heard, $take->played), $readings);
        $this->delays = new MeasuredDelays(new Hearings($page->rig, [$situation->id => $heard]), $situation->id, $take->played, $readings);
    }

    /** "2 tracks of Recorder as they are in Show, brought in by Bea on 30 November, 23:10": what it is. */
    public function about(): string
    {
        $rig = $this->page->rig;
        $by = $this->take->user === null ? '' : " by {$this->take->user->name}";

        return ($rig->units[$this->take->unit]->name ?? $this->take->unit)
            .' in '.($rig->situations[$this->take->situation]->name ?? 'a situation that is gone')
            .', '.($this->take->hidden === null ? 'brought in' : 'simulated').$by.' on '.$this->take->created_at->isoFormat('D MMMM, HH:mm')
            .' at revision '.$this->take->revision.'; '.$this->take->kept();
    }

    /** @return list<string> what is reported of a recording without a signature; none where there is one */
    public function ordinary(): array
    {
        return $this->read->says ?? [];
    }

    /** @return list<Source> those that are planned or were found on any of the tracks */
    public function sounds(): array
    {
        $there = [];
        foreach ($this->measured->tracks ?? [] as $track) {
            $there += $track->sounds;
        }

        return array_values(array_intersect_key($this->page->rig->sources, $there));
    }

    /** @return array{says: string, planned: string, isOff: bool} a cell of the table */
    public function cell(?MeasuredSound $sound): array
    {
        if ($sound === null) {
            return ['says' => '', 'planned' => '', 'isOff' => false];
        }
        $db = fn (?float $db): string => $db === null ? 'none' : Decibels::of(round($db, 1))->text().' dB';
        $late = fn (?float $ms): string => $ms === null || $ms < 0.05 ? '' : ', +'.number_format($ms, 1).' ms';
        $isHeavy = array_filter($sound->differences, fn (Difference $one) => ! $one->kind->isSmall()) !== [];

        return [
            'says' => $db($sound->db).$late($sound->lateMs),
            'planned' => $db($sound->plannedDb).$late($sound->plannedLateMs),
            'isOff' => $isHeavy,
        ];
    }

    /** @return list<array{difference: Difference, url: string, delays: list<SetMeasure>}> what matters most first */
    public function differences(): array
    {
        $room = self::MOST_DELAYS;

        return array_map(
            function (Difference $one) use (&$room): array {
                return [
                    'difference' => $one,
                    'url' => $this->faultsUrl($one),
                    'delays' => $one->kind === DifferenceKind::Late && $room-- > 0 ? $this->delays?->explaining($one) ?? [] : [],
                ];
            },
            // Of a recording without any signature only what is on its tracks whatever plays.
            array_values(array_filter(
                $this->measured?->differences() ?? [],
                fn (Difference $one) => $one->source === null || $this->ordinary() === [],
            )),
        );
    }

    /** The fault finder with all that was measured, or with one difference alone. */
    public function faultsUrl(?Difference $only = null): string
    {
        $known = FaultAnswers::read('');
        foreach ($this->measured->tracks ?? [] as $track) {
            foreach ($track->sounds as $id => $sound) {
                $said = null;
                foreach ($sound->differences as $difference) {
                    $said ??= $difference->kind->impression();
                }
                $isAsPlanned = $sound->differences === [] && $sound->db !== null;
                if ($only === null ? $said !== null || $isAsPlanned : in_array($only, $sound->differences, true) && $said !== null) {
                    $known = $known->with("hear {$id} {$track->track->id}", ($said ?? Impression::Heard)->value);
                }
            }
        }

        return route('rigs.faults', [$this->page->record, 'situation' => $this->take->situation, 'known' => $known->text()], false);
    }

    /**
     * A page where more of a difference is seen: grounds for hum, levels for what is too loud.
     *
     * @return array{string, string}|null what it is called, and its address
     */
    public function moreUrl(Difference $difference): ?array
    {
        return match ($difference->kind) {
            DifferenceKind::Hum => ['Grounds', $this->page->url(['layer' => 'ground'], 'wiring')],
            DifferenceKind::Clipped, DifferenceKind::Soft, DifferenceKind::Loud => ['Levels', $this->page->url([], 'levels')],
            DifferenceKind::Late => ['Delays', $this->page->url([], 'levels')],
            default => $difference->source === null ? null : ['Way', $this->page->url(
                ['source' => $difference->source->id, 'listener' => $difference->track->id],
                'wiring',
            )],
        };
    }

    /**
     * A track over time: its level each second, and each sound that was found, from its beginning to its end.
     *
     * @return array{height: int, levels: string, rows: list<array{name: string, x: float, width: float, y: int}>,
     *     marks: list<array{x: float, text: string}>}
     */
    public function timeline(MeasuredTrack $track): array
    {
        $kept = $this->kept($track);
        $seconds = max(1.0, (float) ($kept['seconds'] ?? 1.0));
        $x = fn (float $at): float => round(max(0.0, min($seconds, $at)) / $seconds * self::WIDTH, 1);
        $levels = [];
        foreach ($kept['channels'] ?? [] as $channel) {
            foreach ($channel['levels'] as $i => $db) {
                $levels[$i] = max($levels[$i] ?? self::LOWEST_DB, (float) $db);
            }
        }
        $points = [];
        foreach ($levels as $i => $db) {
            $y = round(self::LEVELS * min(1.0, $db / self::LOWEST_DB), 1);
            $points[] = $x((float) $i).','.$y.' '.$x($i + 1.0).','.$y;
        }
        $rows = [];
        foreach ($track->sounds as $sound) {
            $found = array_merge(...array_map(array_values(...), array_values($sound->found)));
            $begins = $found[0]->begins ?? null;
            if ($found !== []) {
                $from = $begins === null ? 0.0 : $begins + Signature::MARGIN;
                $to = $begins === null ? $seconds : $begins + Signature::SECONDS - Signature::MARGIN;
                $rows[] = ['name' => $sound->source->name, 'x' => $x($from), 'width' => max(2.0, round($x($to) - $x($from), 1)),
                    'y' => self::LEVELS + 10 + count($rows) * self::ROW];
            }
        }
        $marks = [];
        for ($at = 0; $at <= $seconds; $at += $seconds > 600 ? 300 : ($seconds > 120 ? 60 : 10)) {
            $marks[] = ['x' => $x((float) $at), 'text' => sprintf('%d:%02d', intdiv($at, 60), $at % 60)];
        }

        $area = $points === [] ? '' : '0,'.self::LEVELS.' '.implode(' ', $points).' '.self::WIDTH.','.self::LEVELS;

        return ['height' => self::LEVELS + 26 + count($rows) * self::ROW, 'levels' => $area, 'rows' => $rows, 'marks' => $marks];
    }

    /** @return array{lufs: string, share: float, peak: string, peakShare: float} */
    public function loudness(MeasuredTrack $track): array
    {
        $lufs = $this->kept($track)['lufs'] ?? null;
        $peak = $track->truePeak();
        $share = fn (?float $db): float => $db === null ? 0.0 : round(max(0.0, min(1.0, 1 - $db / self::LOWEST_LUFS)), 3);

        return ['lufs' => $lufs === null ? 'silent' : Decibels::of(round((float) $lufs, 1))->text().' LUFS', 'share' => $share($lufs),
            'peak' => $peak === null ? 'none' : Decibels::of(round($peak, 1))->text().' dBTP', 'peakShare' => $share($peak)];
    }

    /** @return list<array{hertz: int, db: string, share: float}> lines of hum on a track, from whichever channel has more of it */
    public function hum(MeasuredTrack $track): array
    {
        $lines = [];
        foreach ($track->channels as $channel) {
            foreach ($channel->hum->lines ?? [] as $hertz => $db) {
                $lines[$hertz] = max($lines[$hertz] ?? -200.0, $db);
            }
        }
        ksort($lines);

        return array_map(fn (int $hertz, float $db) => ['hertz' => $hertz, 'db' => Decibels::of(round($db, 1))->text().' dBFS',
            'share' => round(max(0.02, 1 - $db / self::LOWEST_DB), 3)], array_keys($lines), array_values($lines));
    }

    /** Noise of the quietest tenth of a second, in words. */
    public function floor(MeasuredTrack $track): string
    {
        $floors = array_filter(array_map(fn ($channel) => $channel->floor, $track->channels), fn (?float $db) => $db !== null);

        return $floors === [] ? 'no noise at all' : 'noise floor '.Decibels::of(round(max($floors), 0))->text().' dBFS';
    }

    /** @return array<string, mixed> as it was read */
    private function kept(MeasuredTrack $track): array
    {
        foreach ($this->read->tracks ?? [] as $kept) {
            if ($kept['id'] === $track->track->id) {
                return $kept;
            }
        }

        return [];
    }
}
