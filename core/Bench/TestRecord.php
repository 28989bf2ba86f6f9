<?php

declare(strict_types=1);

namespace HiddenWire\Core\Bench;

use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Format\PlainText;
use HiddenWire\Core\Rig\Problem;

/** A test that was written to a file: when it began, and what was found at its steps. */
final readonly class TestRecord
{
    public const FORMAT = 'hidden-wire/test';

    public const VERSION = 1;

    /** A key or a state. */
    private const DIGEST = '/^[0-9a-f]{12}$/D';

    /** No plan has more. */
    private const MOST = 5000;

    /**
     * @param  int  $started  in seconds since 1970
     * @param  array<string, array{state: string, heard: Heard, note: string, at: int}>  $answers  by step, `at` in milliseconds since 1970;
     *     of another state than the step's, an answer is out of date
     */
    private function __construct(public int $started, public array $answers)
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
        if ($problems !== []) {
            throw new InvalidDocument($problems);
        }

        return new self((int) $started, $answers);
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
