<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig as Record;
use App\Rigs\Heard;
use HiddenWire\Core\Rig\Rig;

/** A change that was made: the rig before and after it, what was done in words, and what somebody else had done since the page was made. */
final readonly class Made
{
    /**
     * @param  Record  $from  the rig's record as it was before the change
     * @param  list<string>  $meanwhile  in words, the latest first; empty where nobody had
     */
    public function __construct(private Record $from, public Rig $before, public Rig $after, public string $words, public array $meanwhile)
    {
    }

    /** What was done, for whom the hearing changes in a situation, and what happened meanwhile. */
    public function told(?string $situation): string
    {
        $parts = [$this->words];
        $heard = $this->heard($situation);
        if ($heard !== []) {
            $parts[] = ucfirst(implode('; ', $heard)).'.';
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
        $note = Heard::noted($this->from, $was) ?? Heard::in($this->before, $was)->note();

        return $note->upTo(Heard::in($this->after, $is));
    }
}
