<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig as Record;
use App\Rigs\Heard;
use App\Rigs\StrayWords;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\ChangedSound;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\LostPicks;

/** A change that was made: the rig before and after it, what was done in words, and what somebody else had done since the page was made. */
final readonly class MadeChange
{
    /** Units times situations up to which a change is heard in the situations that the page does not show. */
    private const HEARD_ELSEWHERE = 1200;

    /** Cells of all situations together up to which it is. */
    private const CELLS_ELSEWHERE = 12_000;

    /** Cells named of another situation. */
    private const NAMED = 3;

    /**
     * @param  Record  $from  the rig's record as it was before the change
     * @param  Record  $to  as it is after it
     * @param  list<string>  $meanwhile  in words, the latest first; empty where nobody had
     */
    public function __construct(
        private Record $from,
        private Record $to,
        public Rig $before,
        public Rig $after,
        public string $words,
        public array $meanwhile,
    ) {
    }

    /** What was done, for whom the hearing changes in the situation that is shown, and what happened meanwhile. */
    public function told(?string $situation): string
    {
        $parts = [$this->words];
        $lost = $this->lostPicks($situation);
        if ($lost !== []) {
            $parts[] = 'Not listed any more, though picked: '.implode('; ', $lost).'.';
        }
        $heard = $this->heard($situation);
        if ($heard !== []) {
            $parts[] = ucfirst(implode('; ', $heard)).'.';
        }
        if ($this->meanwhile !== []) {
            $parts[] = 'Joined with what was done meanwhile: '.implode('; ', $this->meanwhile).'.';
        }

        return implode(' · ', $parts);
    }

    /** What is not as wished any more in other situations; empty where nothing is. Each of them is heard for it. */
    public function toldElsewhere(?string $shown): string
    {
        $elsewhere = $this->elsewhere($shown);

        return $elsewhere === [] ? '' : 'Not as wished now in '.implode('; in ', $elsewhere).'.';
    }

    /** @return list<string> */
    private function heard(?string $situation): array
    {
        [$was, $is] = $this->shown($situation);
        if ($was === null || $is === null) {
            return [];
        }

        $note = Heard::noted($this->from, $was) ?? Heard::in($this->before, $was)->note();

        return $note->upTo(Heard::in($this->after, $is, $this->to));
    }

    /** @return array{Situation|null, Situation|null} the situation that is shown, before and after the change */
    private function shown(?string $situation): array
    {
        return [
            $this->before->situation($situation) ?? $this->before->situation(),
            $this->after->situation($situation) ?? $this->after->situation(),
        ];
    }

    /** @return list<string> picks whose device a mode takes out of the list, in the situation that is shown */
    private function lostPicks(?string $situation): array
    {
        [$was, $is] = $this->shown($situation);
        if ($was === null || $is === null) {
            return [];
        }
        $values = fn (Rig $rig): array => array_filter(array_map(fn (Unit $unit) => $unit->values, $rig->units));

        return $values($this->before) === $values($this->after) && $was->settings === $is->settings
            ? []
            : LostPicks::between((new GraphBuilder($this->before))->build($was), Heard::in($this->after, $is, $this->to)->graph());
    }

    /** @return list<string> what is not as wished any more in situations that the page does not show */
    private function elsewhere(?string $shown): array
    {
        [$shownBefore, $is] = $this->shown($shown);
        $situations = count($this->after->situations);
        if (count($this->after->units) * $situations > self::HEARD_ELSEWHERE
            || count($this->after->sources) * count($this->after->listeners) * $situations > self::CELLS_ELSEWHERE) {
            return [];
        }
        $told = $kept = [];
        $notes = Heard::besides($this->from);
        $change = new ChangedSound($this->before, $this->after);
        $near = $is === null ? null : Heard::in($this->after, $is, $this->to);
        $nearBefore = null;
        $builderBefore = new GraphBuilder($this->before);
        $builder = new GraphBuilder($this->after);
        $graphs = [];
        foreach ($this->after->situations as $situation) {
            $was = $this->before->situations[$situation->id] ?? null;
            if ($was === null || $situation->id === $is?->id) {
                continue;
            }
            $only = $change->in($situation->id);
            if ($only === []) {
                $kept += array_filter([$situation->id => $notes[$situation->id] ?? null]);

                continue;
            }
            $note = $notes[$situation->id] ?? Heard::noted($this->from, $was);
            // What nothing is otherwise about than before, or than in the situation that is shown, is taken over from there.
            $like = $near;
            if ($note === null) {
                $nearBefore ??= Heard::in($this->before, $shownBefore ?? $was);
                $like = new Hearing($builderBefore->build($was, $nearBefore->graph()), null, $nearBefore);
                $note = $like->note();
            }
            $graph = $graphs[$situation->id] = $builder->build($situation, $like?->graph());
            $hearing = new Hearing($graph, $only, $only === null ? $like : null);
            $kept[$situation->id] = $note->under($hearing->note());
            $new = $note->newAtOdds($hearing);
            if ($new !== []) {
                $told[] = "{$situation->name}: ".self::named($new);
            }
        }
        Heard::keepBesides($this->to, $kept);
        if ($is !== null && $near !== null) {
            StrayWords::carry($this->from, $this->to, $this->after, $is, $change, fn (Situation $situation) => $situation === $is
                ? $near->graph()
                : $graphs[$situation->id] ?? null);
        }

        return $told;
    }

    /** @param  non-empty-list<HeardPair>  $pairs */
    private static function named(array $pairs): string
    {
        $names = array_map(
            fn (HeardPair $pair) => "{$pair->source->name} at {$pair->listener->name}",
            array_slice($pairs, 0, self::NAMED),
        );
        $more = count($pairs) - count($names);

        return implode(', ', $names).($more > 0 ? " and {$more} more" : '');
    }
}
