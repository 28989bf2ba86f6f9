<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

/** One setting that some situation changes, with its value in each of them. */
final readonly class SituationRow
{
    /**
     * @param  array<string, string>  $stands  its value, in words, by situation
     * @param  list<string>  $saidBy  ids of the situations that say it themselves; elsewhere it is as in the default
     */
    public function __construct(public Adjustable $of, public array $stands, public array $saidBy)
    {
    }

    public function differs(string $from, string $to): bool
    {
        return $this->stands[$from] !== $this->stands[$to];
    }
}
