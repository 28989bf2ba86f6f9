<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Controls\Crossing;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Hands;
use HiddenWire\Core\Rig\Rig;

/** From one situation to another by hand, to read aloud. */
final readonly class ByHand
{
    private Crossing $crossing;

    private Rig $rig;

    /** @var list<int>|null */
    private ?array $order;

    /** @var list<array{words: string, after: list<int>}> */
    private array $dangers;

    public function __construct(Hearings $plan, private string $from, private string $to)
    {
        $this->rig = $plan->rig;
        $this->crossing = new Crossing($plan, $from, $to);
        $this->order = $this->crossing->safeOrder();
        $this->dangers = $this->crossing->dangers();
    }

    /** "From On air to Break: 6 presses on 2 units". */
    public function title(): string
    {
        $units = array_unique(array_filter(array_column($this->crossing->steps, 'unit')));

        return "From {$this->rig->situations[$this->from]->name} to {$this->rig->situations[$this->to]->name}: "
            .($this->crossing->presses === 0 ? 'nothing to do' : Count::of($this->crossing->presses, 'press', 'presses')
            .($units === [] ? '' : ' on '.Count::of(count($units), 'unit')));
    }

    /** @return list<string> controls that do all of it at once */
    public function keys(): array
    {
        $goes = fn (Control $one): bool => in_array($this->to, $one->goesTo(), true);

        return array_values(array_map(fn (Control $one) => $one->words(), array_filter(Hands::of($this->rig), $goes)));
    }

    /** What a key would have to do that goes there at once; empty where there is one, or nothing to do. */
    public function keyWanted(): string
    {
        return $this->keys() !== [] || $this->crossing->presses < 2 ? ''
            : "One key could do it: one that goes to {$this->rig->situations[$this->to]->name}, or that moves all "
                ."{$this->crossing->presses} of these.";
    }

    /** @return list<array{unit: string, words: list<string>}> what to do, in the order that is safe, or as the rig has it */
    public function steps(): array
    {
        $steps = [];
        foreach ($this->order ?? array_keys($this->crossing->steps) as $place) {
            ['words' => $words, 'unit' => $unit] = $this->crossing->steps[$place];
            $name = $unit === null ? 'Cables' : $this->rig->units[$unit]->name;
            $words = array_map(fn (string $one) => str_starts_with($one, "{$name}: ") ? substr($one, strlen($name) + 2) : $one, $words);
            $last = count($steps) - 1;
            if ($last >= 0 && $steps[$last]['unit'] === $name) {
                $steps[$last]['words'] = [...$steps[$last]['words'], ...$words];
            } else {
                $steps[] = ['unit' => $name, 'words' => $words];
            }
        }

        return $steps;
    }

    /** What is so of the order. */
    public function says(): string
    {
        $by = $this->crossing->isByUnit ? ' What is done on one unit was taken together.' : '';

        return match (true) {
            count($this->crossing->steps) < 2 => '',
            $this->crossing->isTooMany() => 'There are too many to look at every order.',
            $this->order === null => "No order is safe: whatever comes first, something is heard on the way.{$by}",
            $this->dangers === [] => "Any order will do: nothing is heard on the way that must not be.{$by}",
            default => "In this order nothing is heard on the way that must not be.{$by}",
        };
    }

    /** @return list<string> what is heard in another order: "Host is heard at Viewers after Mic 1 on" */
    public function dangers(): array
    {
        return array_map(fn (array $one): string => "{$one['words']} after ".implode(' and ', array_map(
            fn (int $step) => implode(', ', $this->crossing->steps[$step]['words']),
            $one['after'],
        )), $this->dangers);
    }
}
