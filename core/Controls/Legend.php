<?php

declare(strict_types=1);

namespace HiddenWire\Core\Controls;

use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;

/** What the label of a control promises: as far as it names a sound, a kind of sound or a situation of the rig, else nothing. */
final readonly class Legend
{
    public function __construct(private Rig $rig)
    {
    }

    /** @return array<string, Source> sounds that the label names, by id */
    public function sounds(Control $control): array
    {
        $named = array_filter($this->rig->sources, fn (Source $one) => $this->names($control->legend, $one->name));
        if ($named !== []) {
            return $named;
        }

        return array_filter($this->rig->sources, fn (Source $one) => $this->names($control->legend, $one->kind->value));
    }

    /** The situation that the label names, where the control goes to another; null where all is well or nothing is promised. */
    public function otherSituation(Control $control): ?string
    {
        $named = array_keys(array_filter($this->rig->situations, fn ($one) => self::words($one->name) === self::words($control->legend)));
        $goesTo = $control->goesTo();

        return $named !== [] && $goesTo !== [] && ! in_array((string) $named[0], $goesTo, true) ? $goesTo[0] : null;
    }

    /** Whether all words of a name stand in a label, or those of the label in the name, in their order, singular or plural. */
    private function names(string $legend, string $name): bool
    {
        [$in, $of] = [self::words($legend), self::words($name)];

        return $of !== '' && $in !== '' && (str_contains(" {$in} ", " {$of} ") || str_contains(" {$of} ", " {$in} "));
    }

    private static function words(string $text): string
    {
        preg_match_all('/[\p{L}\p{N}]+/u', mb_strtolower($text), $found);

        return implode(' ', array_map(fn (string $word) => mb_strlen($word) > 3 ? rtrim($word, 's') : $word, $found[0]));
    }
}
