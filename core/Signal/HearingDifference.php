<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** For whom what is heard changes, from one hearing to another: of the same rig in two situations, or before and after a change. */
final readonly class HearingDifference
{
    /** A level that moves by less is not worth a line: about what anybody notices of one sound in a mix. */
    private const NOTICED_DB = 3.0;

    /** @var list<array{before: HeardPair, after: HeardPair}> pairs whose verdict changes, whether they are heard, or how loud */
    public array $pairs;

    public function __construct(public Hearing $before, public Hearing $after)
    {
        $pairs = [];
        foreach ($this->common() as [$was, $is]) {
            $moved = abs(($is->level()?->value() ?? 0.0) - ($was->level()?->value() ?? 0.0));
            if ($was->verdict !== $is->verdict || $was->isHeard() !== $is->isHeard() || $moved >= self::NOTICED_DB) {
                $pairs[] = ['before' => $was, 'after' => $is];
            }
        }
        $this->pairs = $pairs;
    }

    /** What becomes of a pair, in words: "no longer heard", "10.0 dB louder"; its verdict is given apart. */
    public static function says(HeardPair $was, HeardPair $is): string
    {
        [$before, $after] = [$was->level()?->value(), $is->level()?->value()];

        return match (true) {
            $before === null && $after === null => 'silent, and not as wished in one of the two',
            $after === null => 'no longer heard',
            $before === null => 'now heard',
            abs($after - $before) >= self::NOTICED_DB => number_format(abs($after - $before), 1).' dB '
                .($after > $before ? 'louder' : 'quieter'),
            default => 'heard as loud',
        };
    }

    /** @return list<string> in words: "no longer heard at Viewers: Music" */
    public function words(): array
    {
        return $this->before->note()->upTo($this->after);
    }

    /** @return iterable<array{HeardPair, HeardPair}> of sounds and listeners that are on both sides */
    private function common(): iterable
    {
        foreach ($this->after->all() as $is) {
            if (isset($this->before->rig->sources[$is->source->id], $this->before->rig->listeners[$is->listener->id])) {
                yield [$this->before->pair($is->source->id, $is->listener->id), $is];
            }
        }
    }
}
