<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * Which channel goes to which, and how strongly. A triple is (from, to, factor), channels counted from 0, the factor an amplitude:
 * 0.5 is half, -1 turns the polarity.
 *
 * @phpstan-type Triple array{int, int, float}
 */
final readonly class ChannelMap
{
    /** Names that a document may use for a map. */
    public const NAMES = ['straight', 'to-both', 'to-left', 'to-right', 'left', 'right', 'average', 'swap', 'difference', 'split-polarity'];

    /** @param  string|list<array{int, int}>  $form  a name, or pairs of channels counted from 1 */
    private function __construct(public string|array $form)
    {
    }

    /** @param  value-of<self::NAMES>  $name */
    public static function named(string $name): self
    {
        return new self($name);
    }

    /** @param  list<array{int, int}>  $pairs  counted from 1 */
    public static function pairs(array $pairs): self
    {
        return new self($pairs);
    }

    /**
     * What a system or a mixer does where nothing is said: one channel goes to both of a pair; a pair is averaged into one
     * (so that a sound in the middle keeps its level); otherwise channel by channel as far as both reach.
     */
    public static function usual(int $from, int $to): self
    {
        return self::named(match (true) {
            $from === 1 && $to === 2 => 'to-both',
            $from === 2 && $to === 1 => 'average',
            default => 'straight',
        });
    }

    /** @return list<Triple> */
    public function between(int $from, int $to): array
    {
        if (is_array($this->form)) {
            return array_map(fn (array $pair) => [$pair[0] - 1, $pair[1] - 1, 1.0], $this->form);
        }

        $triples = match ($this->form) {
            'to-both' => [[0, 0, 1.0], [0, 1, 1.0]],
            'to-left' => [[0, 0, 1.0]],
            'to-right' => [[0, 1, 1.0]],
            'left' => $to === 1 ? [[0, 0, 1.0]] : [[0, 0, 1.0], [0, 1, 1.0]],
            'right' => $to === 1 ? [[1, 0, 1.0]] : [[1, 0, 1.0], [1, 1, 1.0]],
            'average' => self::averaged($from, min($to, 2)),
            'swap' => [[0, 1, 1.0], [1, 0, 1.0]],
            // A balanced input takes the hot conductor against the cold one.
            'difference' => [[0, 0, 1.0], [1, 0, -1.0], [0, 1, 1.0], [1, 1, -1.0]],
            // A balanced output on two conductors: the second carries the same with turned polarity.
            'split-polarity' => [[0, 0, 1.0], [0, 1, -1.0]],
            default => array_map(fn (int $channel) => [$channel, $channel, 1.0], range(0, min($from, $to) - 1)),
        };

        return array_values(array_filter($triples, fn (array $triple) => $triple[0] < $from && $triple[1] < $to));
    }

    /** @return list<Triple> all channels alike, at a level that a sound in all of them keeps */
    private static function averaged(int $from, int $to): array
    {
        $triples = [];
        for ($channel = 0; $channel < $to; $channel++) {
            for ($one = 0; $one < $from; $one++) {
                $triples[] = [$one, $channel, 1 / $from];
            }
        }

        return $triples;
    }
}
