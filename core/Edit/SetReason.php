<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Rig\ElementRef;
use HiddenWire\Core\Rig\Reason;
use HiddenWire\Core\Rig\Rig;

/** Writes down why something is as it is, and whether it has to be left alone; with neither, what was written is removed. */
final readonly class SetReason implements RigEdit
{
    public function __construct(public ElementRef $about, public string $why, public bool $leaveAlone)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        $set = new Reason($this->about, $this->why, $this->leaveAlone);
        $isEmpty = $this->why === '' && ! $this->leaveAlone;
        $reasons = [];
        $isThere = false;
        foreach ($rig->papers->reasons as $reason) {
            $isSame = (string) $reason->about === (string) $this->about;
            $isThere = $isThere || $isSame;
            if (! $isSame || ! $isEmpty) {
                $reasons[] = $isSame ? $set : $reason;
            }
        }

        return new Rig($rig->parts()->with(papers: $rig->papers->with(reasons: $isThere || $isEmpty ? $reasons : [...$reasons, $set])));
    }

    public function words(Rig $rig): string
    {
        $words = (new Reason($this->about, $this->why, $this->leaveAlone))->words();

        return "{$this->about->words($rig)}: ".($words === '' ? 'no reason any more' : $words);
    }
}
