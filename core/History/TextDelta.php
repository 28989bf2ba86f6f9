<?php

declare(strict_types=1);

namespace HiddenWire\Core\History;

/**
 * What makes one text of another: stretches that are taken over and text between them. Blocks of the old text are looked up wherever a
 * block of the new one begins, and each find is made as long as it goes. Costs a look-up a byte that is new, and a comparison a stretch.
 */
final class TextDelta
{
    private const BLOCK = 48;

    /** Places of one block that are remembered: lines repeat. */
    private const PLACES = 8;

    /**
     * @param  string  $new  UTF-8
     * @return string for {@see apply()}: JSON, a list of texts and of pairs, where a stretch of the old text begins and how long it is
     *
     * @throws \JsonException where the new text is no UTF-8
     */
    public static function between(string $old, string $new): string
    {
        $blocks = [];
        for ($at = 0, $last = strlen($old) - self::BLOCK; $at <= $last; $at += self::BLOCK) {
            $block = substr($old, $at, self::BLOCK);
            if (count($blocks[$block] ?? []) < self::PLACES) {
                $blocks[$block][] = $at;
            }
        }
        $parts = [];
        $fresh = '';
        $from = 0;
        for ($at = 0, $length = strlen($new); $at < $length;) {
            // A stretch begins where a letter does.
            $places = [$from, ...$blocks[substr($new, $at, self::BLOCK)] ?? []];
            [$place, $long] = (ord($new[$at]) & 0xC0) === 0x80 ? [0, 0] : self::longest($old, $new, $at, $places);
            if ($long < self::BLOCK) {
                $fresh .= $new[$at++];

                continue;
            }
            if ($fresh !== '') {
                $parts[] = $fresh;
                $fresh = '';
            }
            $parts[] = [$place, $long];
            $at += $long;
            $from = $place + $long;
        }

        $parts = $fresh === '' ? $parts : [...$parts, $fresh];

        return json_encode($parts, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /**
     * @return string the new text, byte for byte
     *
     * @throws \UnexpectedValueException where that is no delta of this text
     */
    public static function apply(string $old, string $delta): string
    {
        $parts = json_decode($delta, true);
        if (! is_array($parts) || ! array_is_list($parts)) {
            throw new \UnexpectedValueException('This is no delta.');
        }
        $new = '';
        foreach ($parts as $part) {
            $isStretch = is_array($part) && is_int($part[0] ?? null) && is_int($part[1] ?? null);
            if (! is_string($part) && (! $isStretch || $part[0] < 0 || $part[1] < 0 || strlen($old) < $part[0] + $part[1])) {
                throw new \UnexpectedValueException('This is a delta of another text.');
            }
            $new .= is_string($part) ? $part : substr($old, $part[0], $part[1]);
        }

        return $new;
    }

    /**
     * @param  list<int>  $places  in the old text
     * @return array{int, int} the place from which most is alike, and how much
     */
    private static function longest(string $old, string $new, int $at, array $places): array
    {
        $best = [0, 0];
        foreach ($places as $place) {
            $long = self::alike($old, $place, $new, $at);
            $best = $long > $best[1] ? [$place, $long] : $best;
        }

        return $best;
    }

    /** How many bytes are the same from two places on. A stretch never ends within a letter. */
    private static function alike(string $old, int $place, string $new, int $at): int
    {
        $long = 0;
        // A wider and wider look: most stretches are short, a few are nearly everything.
        for ($look = self::BLOCK; ; $look *= 8) {
            $same = strspn(substr($old, $place + $long, $look) ^ substr($new, $at + $long, $look), "\0");
            $long += $same;
            if ($same < $look) {
                break;
            }
        }
        while ($long > 0 && (ord($new[$at + $long] ?? 'a') & 0xC0) === 0x80) {
            $long--;
        }

        return $long;
    }
}
