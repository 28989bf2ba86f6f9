<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Problem;

/** Text to plain data and back. Objects are `\stdClass`, so that an empty object and an empty list stay apart. */
final class Json
{
    /** A rig of 1,000 units is about 1.5 MB; four times that is room enough, and a larger file is no rig. */
    public const MAX_BYTES = 6 * 1024 * 1024;

    /** The format nests nine deep at most. */
    public const MAX_DEPTH = 24;

    /** A key and its colon: texts are skipped as a whole, so that nothing inside one counts. */
    private const KEY = '/"(?:[^"\\\\]++|\\\\.)*+"(?:\s*+:|(*SKIP)(*FAIL))/s';

    /** How wide a line of the canonical form gets before an object or list is broken over several lines. */
    private const LINE = 140;

    /** @throws InvalidDocument when the text is too large, not UTF-8, no JSON, nested too deep, or names a key of an object twice */
    public static function decode(string $text): mixed
    {
        $data = self::decodeOwn($text);
        if (self::countKeys($data) !== preg_match_all(self::KEY, $text)) {
            $twice = self::keysGivenTwice($text);
            if ($twice !== []) {
                throw new InvalidDocument($twice);
            }
        }

        return $data;
    }

    /**
     * A text that was written here, in which no key is given twice.
     *
     * @throws InvalidDocument when the text is too large, not UTF-8, no JSON, or nested too deep
     */
    public static function decodeOwn(string $text): mixed
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw InvalidDocument::whole(sprintf(
                'The file has %.1f MB; a rig document has %d MB at most.',
                strlen($text) / 1048576,
                intdiv(self::MAX_BYTES, 1048576),
            ));
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidDocument::whole('The file is not UTF-8 text. Save it as UTF-8 and try again.');
        }
        try {
            return json_decode($text, false, self::MAX_DEPTH, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw InvalidDocument::whole(match ($e->getCode()) {
                JSON_ERROR_DEPTH => 'The file nests deeper than any rig document does ('.self::MAX_DEPTH.' levels).',
                JSON_ERROR_INVALID_PROPERTY_NAME => 'A key begins with a zero byte; no key of a rig document does.',
                default => 'The file is no JSON: '.$e->getMessage().'. '.self::whereItBreaks($text),
            });
        }
    }

    /** How many keys all objects have together. */
    private static function countKeys(mixed $data): int
    {
        if ($data instanceof \stdClass) {
            $data = (array) $data;
            $count = count($data);
        } elseif (is_array($data)) {
            $count = 0;
        } else {
            return 0;
        }
        foreach ($data as $value) {
            if (is_array($value) || $value instanceof \stdClass) {
                $count += self::countKeys($value);
            }
        }

        return $count;
    }

    /** Characters that JSON writes as they are. */
    private const PLAIN = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789 -_/.,:;>()'+*#%&=!?@";

    /** How many levels may stand inside what is written on one line. */
    private const DEEPEST_ON_A_LINE = 2;

    /** Canonical text: two spaces of indent, whatever fits a line on one line, a newline at the end. */
    public static function encode(mixed $data): string
    {
        return self::write($data, 0, 0)."\n";
    }

    private static function write(mixed $data, int $indent, int $lead): string
    {
        if ($data instanceof Verbatim) {
            return $data->text;
        }
        if (! is_array($data) && ! $data instanceof \stdClass) {
            return self::scalar($data);
        }
        $isList = is_array($data) && array_is_list($data);
        $items = (array) $data;
        if ($items === []) {
            return $isList ? '[]' : '{}';
        }
        $line = $indent > 0 ? self::line($items, $isList, self::DEEPEST_ON_A_LINE, self::LINE - $indent - $lead) : null;
        if ($line !== null) {
            return $line;
        }
        $inner = str_repeat(' ', $indent + 2);
        $parts = [];
        foreach ($items as $key => $value) {
            $name = $isList ? '' : self::key($key);
            $parts[] = $inner.$name.self::write($value, $indent + 2, mb_strlen($name));
        }

        return ($isList ? '[' : '{')."\n".implode(",\n", $parts)."\n".str_repeat(' ', $indent).($isList ? ']' : '}');
    }

    /** @var array<array-key, string> keys as they are written: there are few, and they come again and again */
    private static array $keys = [];

    private static function key(string|int $key): string
    {
        return self::$keys[$key] ??= self::scalar((string) $key).': ';
    }

    private static function scalar(mixed $value): string
    {
        if (is_int($value)) {
            return (string) $value;
        }

        // Most texts are ids and keys: plain, and written as they are.
        return is_string($value) && strspn($value, self::PLAIN) === strlen($value)
            ? "\"{$value}\""
            : json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /**
     * All of it on one line; null where it is nested deeper or longer than that takes.
     *
     * @param  array<array-key, mixed>  $items
     */
    private static function line(array $items, bool $isList, int $levels, int $room): ?string
    {
        $line = $isList ? '[' : '{';
        $between = '';
        foreach ($items as $key => $value) {
            if (! is_array($value) && ! $value instanceof \stdClass) {
                $text = self::scalar($value);
            } elseif ($levels === 0) {
                return null;
            } else {
                $inside = (array) $value;
                $isInner = is_array($value) && array_is_list($value);
                $text = $inside === [] ? ($isInner ? '[]' : '{}') : self::line($inside, $isInner, $levels - 1, $room);
                if ($text === null) {
                    return null;
                }
            }
            $line .= $between.($isList ? '' : self::key($key)).$text;
            $between = ', ';
            if (strlen($line) >= $room && mb_strlen($line) >= $room) {
                return null;
            }
        }

        return $line.($isList ? ']' : '}');
    }

    /**
     * PHP keeps the last of two equal keys in silence; what the first said would be lost.
     *
     * @return list<Problem>
     */
    private static function keysGivenTwice(string $text): array
    {
        $problems = [];
        /** @var list<string> $path the key or number that each open bracket is at */
        $path = [];
        /** @var list<array<string, true>|null> $seen keys of each open object; null for a list */
        $seen = [];
        $expectKey = false;
        $offset = 0;
        $length = strlen($text);
        while ($offset < $length) {
            $offset += strcspn($text, '"{}[],', $offset);
            $char = $text[$offset] ?? '';
            $top = count($seen) - 1;
            if ($char === '"') {
                $start = ++$offset;
                while ($text[$offset += strcspn($text, '"\\', $offset)] === '\\') {
                    $offset += 2;
                }
                if ($expectKey) {
                    $key = substr($text, $start, $offset - $start);
                    if (str_contains($key, '\\')) {
                        $key = (string) json_decode('"'.$key.'"');
                    }
                    $path[$top] = $key;
                    if (isset($seen[$top][$key])) {
                        $pointer = '/'.implode('/', array_map(Problem::token(...), $path));
                        $problems[] = new Problem($pointer, 'This key is given twice in one object.');
                    }
                    $seen[$top][$key] = true;
                    $expectKey = false;
                }
            } elseif ($char === '{' || $char === '[') {
                $path[] = '0';
                $seen[] = $char === '{' ? [] : null;
                $expectKey = $char === '{';
            } elseif ($char === '}' || $char === ']') {
                array_pop($path);
                array_pop($seen);
                $expectKey = false;
            } elseif ($char === ',' && $top >= 0) {
                $expectKey = $seen[$top] !== null;
                if (! $expectKey) {
                    $path[$top] = (string) ((int) $path[$top] + 1);
                }
            }
            $offset++;
        }

        return $problems;
    }

    /** The line where a parser that only says "syntax error" must have stopped: the longest beginning that could still become JSON. */
    private static function whereItBreaks(string $text): string
    {
        if (trim($text) === '') {
            return 'It is empty.';
        }
        $open = [];
        $length = strlen($text);
        for ($i = 0; $i < $length; $i++) {
            $char = $text[$i];
            if ($char === '"') {
                while (++$i < $length && $text[$i] !== '"') {
                    $i += $text[$i] === '\\' ? 1 : 0;
                }
                if ($i >= $length) {
                    return 'It ends inside a text: is it cut off?';
                }
            } elseif ($char === '{' || $char === '[') {
                $open[] = $char;
            } elseif (($char === '}' && array_pop($open) !== '{') || ($char === ']' && array_pop($open) !== '[')) {
                return 'A bracket closes what was not opened, in line '.(substr_count($text, "\n", 0, $i) + 1).'.';
            }
        }

        return $open === []
            ? 'Look for a missing comma or quotation mark.'
            : 'It ends with '.Count::of(count($open), 'bracket').' open: is it cut off?';
    }
}
