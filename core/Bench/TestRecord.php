<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Format\PlainText;
use HiddenWire\Core\Rig\Problem;

/**
 * A test that was written to a file: when it began, what was found at its steps, and what tone tests measured.
 *
 * @phpstan-type Measured array{situation: string, unit: string, at: string, track: string, source: string, db: float|null,
 *     planned_db: float|null, late_ms: float|null, planned_late_ms: float|null, differences: list<string>}
 */
final readonly class TestRecord
{
    public const FORMAT = 'hidden-wire/test';

    public const VERSION = 1;

    /** A key or a state. */
    private const DIGEST = '/^[0-9a-f]{12}$/D';

    private const ID = '/^[a-z0-9._-]{1,60}$/D';

    /** Of a level in dB, or a delay in ms. */
    private const LARGEST = 1_000_000;

    /** Of one sound on one track. */
    private const DIFFERENCES = 20;

    /** No plan has more. */
    private const MOST = 5000;

    /**
     * @param  int  $started  in seconds since 1970
     * @param  array<string, array{state: string, heard: Heard, note: string, at: int}>  $answers  by step, `at` in milliseconds since 1970;
     *     of another state than the step's, an answer is out of date
     * @param  list<Measured>  $measured
     */
    private function __construct(public int $started, public array $answers, public array $measured)
    {
    }

    /** @throws InvalidDocument with the place of everything that is wrong */
    public static function read(string $text): self
    {
        Json::decode($text);
        $file = json_decode($text, true);
        if (! is_array($file) || ($file['format'] ?? null) !== self::FORMAT) {
            throw InvalidDocument::whole('This is no test: its "format" has to be "'.self::FORMAT.'".');
        }
        if (($file['version'] ?? null) !== self::VERSION) {
            throw new InvalidDocument([new Problem('/version', 'Only version '.self::VERSION.' of a test can be read.')]);
        }
        $steps = $file['steps'] ?? null;
        if (! is_array($steps) || ! array_is_list($steps) || count($steps) > self::MOST) {
            throw new InvalidDocument([new Problem('/steps', 'This has to be a list of '.self::MOST.' steps at most.')]);
        }
        $problems = $answers = [];
        $started = self::time($file['started'] ?? null);
        if ($started === null) {
            $problems[] = new Problem('/started', 'This has to be a time, such as 2026-05-03T21:04:00Z.');
        }
        foreach ($steps as $i => $step) {
            if (! is_array($step) || preg_match(self::DIGEST, is_string($step['key'] ?? null) ? $step['key'] : '') !== 1) {
                $problems[] = new Problem("/steps/{$i}/key", 'This has to be the key of a step: 12 digits 0 to 9 and a to f.');
            } elseif (isset($step['answer'])) {
                $answer = self::answer($step['answer'], "/steps/{$i}/answer", $problems);
                if ($answer !== null) {
                    $answers[$step['key']] = $answer;
                }
            }
        }
        $measured = self::measured($file['measured'] ?? [], $problems);
        if ($problems !== []) {
            throw new InvalidDocument($problems);
        }

        return new self((int) $started, $answers, $measured);
    }

    /**
     * @param  list<Problem>  $problems
     * @return list<Measured>
     */
    private static function measured(mixed $given, array &$problems): array
    {
        if (! is_array($given) || ! array_is_list($given) || count($given) > self::MOST) {
            $problems[] = new Problem('/measured', 'This has to be a list of '.self::MOST.' values at most.');

            return [];
        }
        $rows = [];
        foreach ($given as $i => $row) {
            $rows[] = self::row(is_array($row) ? $row : [], "/measured/{$i}", $problems);
        }

        return $rows;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @param  list<Problem>  $problems
     * @return Measured
     */
    private static function row(array $row, string $at, array &$problems): array
    {
        $id = function (string $key) use ($row, $at, &$problems): string {
            $value = $row[$key] ?? null;
            if (! is_string($value) || preg_match(self::ID, $value) !== 1) {
                $problems[] = new Problem("{$at}/{$key}", 'This has to be an id.');
            }

            return is_string($value) ? $value : '';
        };
        $number = function (string $key) use ($row, $at, &$problems): ?float {
            $value = $row[$key] ?? null;
            $isNumber = (is_int($value) || is_float($value)) && abs($value) <= self::LARGEST;
            if ($value !== null && ! $isNumber) {
                $problems[] = new Problem("{$at}/{$key}", 'This has to be a number, or null.');
            }

            return $isNumber ? (float) $value : null;
        };
        if (self::time($row['at'] ?? null) === null) {
            $problems[] = new Problem("{$at}/at", 'This has to be a time, such as 2026-05-03T21:04:00Z.');
        }
        $said = $row['differences'] ?? [];
        $isText = fn (mixed $one): bool => is_string($one) && mb_strlen($one) <= Bounds::STEP;
        $differences = is_array($said) ? array_values(array_filter($said, $isText)) : [];
        if (! is_array($said) || count($differences) !== count($said) || count($said) > self::DIFFERENCES) {
            $problems[] = new Problem("{$at}/differences", 'This has to be a list of texts, '.self::DIFFERENCES.' at most.');
        }

        return [
            'situation' => $id('situation'), 'unit' => $id('unit'), 'at' => is_string($row['at'] ?? null) ? $row['at'] : '',
            'track' => $id('track'), 'source' => $id('source'), 'db' => $number('db'), 'planned_db' => $number('planned_db'),
            'late_ms' => $number('late_ms'), 'planned_late_ms' => $number('planned_late_ms'),
            'differences' => array_map(PlainText::withoutNoCharacters(...), $differences),
        ];
    }

    /** Seconds since 1970; null of what is no time, or before that. */
    private static function time(mixed $text): ?int
    {
        if (! is_string($text) || preg_match('/^(\d{4})-(\d\d)-(\d\d)T([01]\d|2[0-3]):([0-5]\d):([0-5]\d)Z$/D', $text, $part) !== 1) {
            return null;
        }
        [, $year, $month, $day, $hour, $minute, $second] = array_map(intval(...), $part);

        return $year >= 1970 && $year < 2100 && checkdate($month, $day, $year)
            ? (int) gmmktime($hour, $minute, $second, $month, $day, $year) : null;
    }

    /**
     * @param  list<Problem>  $problems
     * @return array{state: string, heard: Heard, note: string, at: int}|null
     */
    private static function answer(mixed $given, string $at, array &$problems): ?array
    {
        $heard = is_array($given) && is_string($given['heard'] ?? null) ? Heard::tryFrom($given['heard']) : null;
        $note = is_array($given) ? $given['note'] ?? '' : '';
        $time = is_array($given) ? $given['at_ms'] ?? null : null;
        $known = implode(', ', array_column(Heard::cases(), 'value'));
        $wrong = array_filter([
            $heard === null ? new Problem("{$at}/heard", "This has to be one of {$known}.") : null,
            ! is_string($note) || mb_strlen($note) > Bounds::STEP
                ? new Problem("{$at}/note", 'This has to be a text of '.Bounds::STEP.' characters at most.') : null,
            ! is_int($time) || $time < 0 ? new Problem("{$at}/at_ms", 'This has to be a time in milliseconds since 1970.') : null,
        ]);
        array_push($problems, ...array_values($wrong));
        $state = is_array($given) && is_string($given['state'] ?? null) && preg_match(self::DIGEST, $given['state']) === 1
            ? $given['state'] : '';

        return $heard === null || $wrong !== [] ? null : [
            'state' => $state, 'heard' => $heard, 'note' => PlainText::withoutNoCharacters((string) $note), 'at' => (int) $time,
        ];
    }
}
