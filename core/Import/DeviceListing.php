<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\Role;

/**
 * What a computer lists, as text: a table with headings (name, direction, default, rate, bits, enabled), or lines under "Playback" and
 * "Recording" as a system's own tools write them. Lines that say nothing of a device are skipped and reported.
 */
final readonly class DeviceListing
{
    public const MAX_BYTES = 20_000;

    private const MOST = 400;

    /** What headings of a table may be called. */
    private const COLUMNS = [
        'name' => ['name', 'device', 'device name', 'description'],
        'direction' => ['direction', 'type', 'kind', 'class', 'in or out', 'flow'],
        'default' => ['default', 'is default', 'role', 'default for', 'roles'],
        'rate' => ['rate', 'sample rate', 'rate_hz', 'hz', 'samplerate', 'format'],
        'bits' => ['bits', 'bit depth', 'depth'],
        'enabled' => ['enabled', 'state', 'status', 'active'],
    ];

    private const PLAYBACK = '/^(playback|output|outputs|render|sinks?|play|speakers?|out)\b/iu';

    private const RECORDING = '/^(recording|input|inputs|capture|sources?|record|microphones?|in)\b/iu';

    /** A line that says of which direction those below it are. */
    private const HEADING = '/^(playback|outputs?|render|sinks?|recording|inputs?|capture|sources?)( devices?)?\s*:?$/iu';

    private const OFF = '/\b(disabled|off|no|false|inactive|hidden|unplugged)\b/iu';

    /** What surrounds a name in a line: bullets, numbers, marks, formats. */
    private const BESIDE = [
        '/^[*•\-–>\s]+/u', '/^\d+[.)]\s+/u', '/[\[(]\s*(default[^\])]*|disabled)\s*[\])]/iu',
        '/,?\s*\d{2,3}(?:\.\d)?\s*kHz|,?\s*\d{4,6}\s*Hz|,?\s*\d{2}\s*-?bits?/iu',
    ];

    /**
     * @param  list<SeenDevice>  $devices  in the order of the text
     * @param  list<string>  $passedOver  lines of which nothing was taken, each with why
     */
    private function __construct(public array $devices, public array $passedOver)
    {
    }

    /** Lines of a listing that the user is asked about one by one. */
    public const MAPPED = 60;

    /**
     * Lines that say nothing of which direction they are, with what of each is likely a name: for somebody to tell them one by one.
     *
     * @return list<array{line: string, name: string}> none of a table with headings
     */
    public static function untold(string $text): array
    {
        if (! mb_check_encoding($text, 'UTF-8') || strlen($text) > self::MAX_BYTES || self::fromTable($text) !== null) {
            return [];
        }
        $untold = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            $said = trim($line);
            if (preg_match(self::HEADING, $said) === 1) {
                break;
            }
            if ($said !== '' && count($untold) < self::MAPPED) {
                $untold[] = ['line' => $said, 'name' => self::likelyName($said)];
            }
        }

        return $untold;
    }

    /**
     * The text with some of its untold lines under the heading that they belong to.
     *
     * @param  array<int, array{Direction, string}>  $told  direction and name, by place among {@see untold()}
     */
    public static function told(string $text, array $told): string
    {
        $untold = self::untold($text);
        $left = [];
        $place = 0;
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            $isUntold = $place < count($untold) && trim($line) === $untold[$place]['line'];
            $place += $isUntold ? 1 : 0;
            $left = $isUntold || trim($line) === '' ? $left : [...$left, $line];
        }
        foreach (Direction::cases() as $direction) {
            $names = array_column(array_filter($told, fn (array $one) => $one[0] === $direction), 1);
            $left = $names === [] ? $left : [...$left, ucfirst($direction->value), ...$names];
        }

        return implode("\n", $left);
    }

    /** The text between quotes or brackets, else behind a number and a colon, else all of it without what surrounds names. */
    private static function likelyName(string $line): string
    {
        $isSet = preg_match('/["“«]([^"”»]{2,})["”»]/u', $line, $found) === 1 || preg_match('/\[([^\[\]]{2,})\]/u', $line, $found) === 1;
        $name = $isSet ? $found[1]
            : (string) preg_replace('/^[\p{L}_ ]{0,12}#?\d+\s*[:.)\]]\s*/u', '', $line);

        return trim((string) preg_replace(self::BESIDE, '', $name), " \t,;:");
    }

    /** @throws UnreadableTable where nothing of it can be read, with what to do */
    public static function read(string $text): self
    {
        if (strlen($text) > self::MAX_BYTES || ! mb_check_encoding($text, 'UTF-8')) {
            throw new UnreadableTable('The list is larger than 20 kB, or no text.');
        }
        $read = self::fromTable($text) ?? self::fromLines($text);
        if ($read->devices === []) {
            throw new UnreadableTable('No device was found in it. Write a table with the columns name and direction, or the names below '
                .'the lines "Playback" and "Recording".');
        }
        if (count($read->devices) > self::MOST) {
            throw new UnreadableTable('These are more than '.self::MOST.' devices.');
        }

        return $read;
    }

    /** Null where its first line does not name columns. */
    private static function fromTable(string $text): ?self
    {
        try {
            $table = CsvTable::read(ltrim($text));
        } catch (UnreadableTable) {
            return null;
        }
        $at = [];
        foreach ($table->columns as $number => $heading) {
            foreach (self::COLUMNS as $column => $names) {
                $at += in_array(mb_strtolower(trim($heading)), $names, true) ? [$column => $number] : [];
            }
        }
        if (! isset($at['name'], $at['direction'])) {
            return null;
        }
        $devices = $passedOver = [];
        foreach ($table->rows as $line => $cells) {
            $of = fn (string $column): string => isset($at[$column]) ? trim($cells[$at[$column]]) : '';
            $direction = self::direction($of('direction'));
            if ($of('name') === '' || $direction === null) {
                $passedOver[] = "Line {$line}: no name, or neither playback nor recording";

                continue;
            }
            $devices[] = new SeenDevice(
                $of('name'),
                $direction,
                self::roles($of('default'), $direction),
                self::rate($of('rate')) ?? (ctype_digit($of('rate')) ? (int) $of('rate') : null),
                self::bits($of('bits')) ?? (in_array($of('bits'), ['16', '24', '32'], true) ? (int) $of('bits') : null),
                preg_match(self::OFF, $of('enabled')) !== 1,
            );
        }

        return new self($devices, $passedOver);
    }

    private static function fromLines(string $text): self
    {
        $devices = $passedOver = [];
        $direction = null;
        foreach (preg_split('/\R/u', $text) ?: [] as $i => $line) {
            $said = trim($line);
            if ($said === '') {
                continue;
            }
            if (preg_match(self::HEADING, $said) === 1) {
                $direction = self::direction($said);

                continue;
            }
            if ($direction === null) {
                $passedOver[] = 'Line '.($i + 1).': neither “Playback” nor “Recording” stands above it';

                continue;
            }
            $name = trim((string) preg_replace(
                self::BESIDE,
                '',
                $said,
            ), " \t,;:");
            if ($name === '') {
                $passedOver[] = 'Line '.($i + 1).': no name';

                continue;
            }
            $default = preg_match('/[\[(]\s*default([^\])]*)[\])]|^\s*\*/iu', $line, $found) === 1 ? 'default'.($found[1] ?? '') : '';
            $devices[] = new SeenDevice(
                $name,
                $direction,
                self::roles($default, $direction),
                self::rate($said),
                self::bits($said),
                preg_match('/[\[(]\s*disabled\s*[\])]/iu', $said) !== 1,
            );
        }

        return new self($devices, $passedOver);
    }

    private static function direction(string $said): ?Direction
    {
        return match (true) {
            preg_match(self::PLAYBACK, trim($said)) === 1 => Direction::Playback,
            preg_match(self::RECORDING, trim($said)) === 1 => Direction::Recording,
            default => null,
        };
    }

    /** @return list<Role> */
    private static function roles(string $said, Direction $direction): array
    {
        $own = $direction === Direction::Playback ? Role::Playback : Role::Recording;
        $isCall = preg_match('/call|communication/iu', $said) === 1;
        $isOwn = preg_match('/^\s*(yes|true|1|x|\*|default|playback|recording)\b/iu', $said) === 1
            && (! $isCall || preg_match('/\b(and|both)\b|,|;/iu', $said) === 1);

        return [...$isOwn || preg_match('/^\s*[*x]\s*$/iu', $said) === 1 ? [$own] : [], ...$isCall ? [Role::Call] : []];
    }

    private static function rate(string $said): ?int
    {
        $number = fn (string $written): float => (float) str_replace(',', '.', $written);

        return match (true) {
            preg_match('/(\d{2,3}(?:[.,]\d)?)\s*kHz/iu', $said, $found) === 1 => (int) round(1000 * $number($found[1])),
            preg_match('/(\d{4,6})\s*Hz/iu', $said, $found) === 1 => (int) $found[1],
            default => null,
        };
    }

    private static function bits(string $said): ?int
    {
        return preg_match('/\b(16|24|32)\s*-?\s*bits?\b/iu', $said, $found) === 1 ? (int) $found[1] : null;
    }
}
