<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Finder\FaultFinder;
use HiddenWire\Core\Finder\SuspectTable;

/**
 * What is known of a fault, as an address has it: "hear game viewers=nothing;look leads desk=1f2e3d4c". What is seen at a look is the
 * digest of its words, since they are long; nothing where all is as planned.
 */
final readonly class FaultAnswers
{
    /** More nobody answers. */
    private const MOST = 80;

    private const DIGITS = 8;

    private const ENTRY = '#^((?:hear|read|look|list|(?:unplug|swap) [a-z0-9_.-]+) [a-z0-9/_.-]+ [a-z0-9/_.-]+)=([a-z0-9.-]*)$#D';

    /** @param  array<string, string>  $answers  as in the address, by check */
    private function __construct(public array $answers)
    {
    }

    public static function read(string $text): self
    {
        $answers = [];
        foreach (array_slice(explode(';', $text), 0, self::MOST) as $entry) {
            if (preg_match(self::ENTRY, $entry, $found) === 1) {
                $answers[$found[1]] = $found[2];
            }
        }

        return new self($answers);
    }

    /** @param  string  $answer  as the finder has it */
    public function with(string $check, string $answer): self
    {
        return new self([...$this->answers, $check => self::short($check, $answer)]);
    }

    public function without(string $check): self
    {
        return new self(array_diff_key($this->answers, [$check => true]));
    }

    public function text(): string
    {
        $said = fn (string $check, string $answer): string => "{$check}={$answer}";

        return implode(';', array_map($said, array_keys($this->answers), $this->answers));
    }

    /** @return array<string, string> as the finder has them; a look or a list that tells of no fault of the table is left out */
    public function known(SuspectTable $table): array
    {
        $words = [];
        foreach ($table->faults as $fault) {
            $words[self::digest($fault->words)] = $fault->words;
        }
        $known = [];
        foreach ($this->answers as $check => $answer) {
            if (str_starts_with($check, 'list ') && ! isset($table->planned[$check])) {
                continue;
            }
            if (! str_starts_with($check, 'look ') || in_array($answer, ['', FaultFinder::UNSURE], true)) {
                $known[$check] = $answer;

                continue;
            }
            $seen = array_intersect_key($words, array_flip(explode('.', $answer)));
            sort($seen);
            if ($seen !== []) {
                $known[$check] = implode("\n", $seen);
            }
        }

        return $known;
    }

    private static function short(string $check, string $answer): string
    {
        return ! str_starts_with($check, 'look ') || in_array($answer, ['', FaultFinder::UNSURE], true) ? $answer
            : implode('.', array_map(self::digest(...), explode("\n", $answer)));
    }

    /** By what a fault is named in an address. */
    public static function digest(string $words): string
    {
        return substr(hash('sha256', $words), 0, self::DIGITS);
    }
}
