<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig as Record;
use App\Rigs\Heard;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\HearingNote;

/** A change that was made: the rig before and after it, what was done in words, and what somebody else had done since the page was made. */
final readonly class Made
{
    /** Units times situations up to which a change is heard in the situations that the page does not show. */
    private const HEARD_ELSEWHERE = 1200;

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

    /** What was done, for whom the hearing changes in a situation, and what happened meanwhile. */
    public function told(?string $situation): string
    {
        $parts = [$this->words];
        $heard = $this->heard($situation);
        if ($heard !== []) {
            $parts[] = ucfirst(implode('; ', $heard)).'.';
        }
        $elsewhere = $this->elsewhere($situation);
        if ($elsewhere !== []) {
            $parts[] = 'Not as wished now in '.implode('; in ', $elsewhere).'.';
        }
        if ($this->meanwhile !== []) {
            $parts[] = 'Joined with what was done meanwhile: '.implode('; ', $this->meanwhile).'.';
        }

        return implode(' · ', $parts);
    }

    /** @return list<string> */
    private function heard(?string $situation): array
    {
        $was = $this->before->situation($situation) ?? $this->before->situation();
        $is = $this->after->situation($situation) ?? $this->after->situation();
        if ($was === null || $is === null) {
            return [];
        }

        return $this->note($was)->upTo(Heard::in($this->after, $is));
    }

    /** @return list<string> what is not as wished any more in situations that the page does not show */
    private function elsewhere(?string $shown): array
    {
        $is = $this->after->situation($shown) ?? $this->after->situation();
        if (count($this->after->units) * count($this->after->situations) > self::HEARD_ELSEWHERE) {
            return [];
        }
        $told = [];
        foreach ($this->after->situations as $situation) {
            $was = $this->before->situations[$situation->id] ?? null;
            if ($was === null || $situation->id === $is?->id) {
                continue;
            }
            $hearing = Heard::in($this->after, $situation);
            Heard::note($this->to, $situation, $hearing);
            $new = $this->note($was)->newAtOdds($hearing);
            if ($new !== []) {
                $names = array_map(
                    fn (HeardPair $pair) => "{$pair->source->name} at {$pair->listener->name}",
                    array_slice($new, 0, self::NAMED),
                );
                $more = count($new) - count($names);
                $told[] = "{$situation->name}: ".implode(', ', $names).($more > 0 ? " and {$more} more" : '');
            }
        }

        return $told;
    }

    private function note(Situation $situation): HearingNote
    {
        return Heard::noted($this->from, $situation) ?? Heard::in($this->before, $situation)->note();
    }
}
