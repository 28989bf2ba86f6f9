<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/**
 * Leads to anything of a rig that something can be said about: `units/mixer`, `units/mixer/points/ch-1`, `units/mixer/routes/a>b`,
 * `units/mixer/sockets/usb`, `cables/w-07`, `picks/call/microphone`, `places/desk`, `sources/voice`, `listeners/me`, `situations/break`,
 * `wishes/voice/me`.
 */
final readonly class ElementRef implements \Stringable
{
    /** Tokens behind the collection. */
    private const FORMS = [
        'units' => [1, 3], 'cables' => [1], 'picks' => [2], 'places' => [1], 'sources' => [1], 'listeners' => [1], 'situations' => [1],
        'wishes' => [2],
    ];

    private const INSIDE = ['points', 'routes', 'sockets'];

    /** @param  non-empty-list<string>  $tokens  behind the collection */
    private function __construct(public string $collection, public array $tokens)
    {
    }

    /** As a regular expression, without delimiters. */
    public static function pattern(): string
    {
        return '(units/[^/]+(/('.implode('|', self::INSIDE).')/[^/]+)?|(cables|places|sources|listeners|situations)/[^/]+'
            .'|(picks|wishes)/[^/]+/[^/]+)';
    }

    /** Null where the text is no such reference. */
    public static function read(string $text): ?self
    {
        $tokens = explode('/', $text);
        $collection = array_shift($tokens);
        $isOne = $tokens !== [] && in_array(count($tokens), self::FORMS[$collection] ?? [], true) && ! in_array('', $tokens, true)
            && (count($tokens) !== 3 || in_array($tokens[1], self::INSIDE, true));

        return $isOne ? new self($collection, $tokens) : null;
    }

    public static function unit(string $unit): self
    {
        return new self('units', [$unit]);
    }

    public static function cable(string $cable): self
    {
        return new self('cables', [$cable]);
    }

    /** Whether it leads anywhere. */
    public function isIn(RigParts $parts): bool
    {
        [$first, $second, $third] = [...$this->tokens, '', ''];
        if ($this->collection === 'picks') {
            return array_filter($parts->picks, fn (Pick $pick) => (string) $pick->at === "{$first}/{$second}") !== [];
        }
        if ($this->collection === 'wishes') {
            return array_filter($parts->wishes, fn (Wish $wish) => $wish->source === $first && $wish->listener === $second) !== [];
        }
        foreach ($parts->{$this->collection} as $thing) {
            if ($thing->id === $first) {
                return ! $thing instanceof Unit || $second === ''
                    || isset($parts->models[$thing->model]?->{$second}[$third]);
            }
        }

        return false;
    }

    /** What it leads to, as a person calls it; it has to be in the rig. */
    public function words(Rig $rig): string
    {
        [$first, $second, $third] = [...$this->tokens, '', ''];
        $names = new Names($rig);

        return match ($this->collection) {
            'units' => match ($second) {
                'points' => $names->of(new PointRef($first, $third)),
                'routes' => $names->of(new RouteRef($first, $third)),
                'sockets' => $names->of(new SocketRef($first, $third)),
                default => $rig->units[$first]->name,
            },
            'cables' => $rig->cables[$first]->label,
            'picks' => $names->of(new PointRef($first, $second)),
            'places' => $rig->places[$first]->name,
            'sources' => $rig->sources[$first]->name,
            'listeners' => $rig->listeners[$first]->name,
            'situations' => $rig->situations[$first]->name,
            default => "{$rig->sources[$first]->name} at {$rig->listeners[$second]->name}",
        };
    }

    public function __toString(): string
    {
        return "{$this->collection}/".implode('/', $this->tokens);
    }
}
