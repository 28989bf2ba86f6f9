<?php

declare(strict_types=1);

namespace HiddenWire\Core\Checks;

use HiddenWire\Core\Planning\CausesReport;
use HiddenWire\Core\Planning\Cure;

/** Findings as plain data, for the command line and for other programs. */
final class FindingsReport
{
    /**
     * @param  list<Finding>  $findings
     * @param  string  $situation  only those of this one, by id
     * @return list<array{code: string, severity: string, situation: string|null, about: list<string>, sentence: string, why: string,
     *                    evidence: string, cures: list<array{sentence: string, edits: list<array<string, mixed>>, costs: list<string>}>}>
     *     `situation` is null for what is so whatever the situation
     */
    public function of(array $findings, string $situation): array
    {
        $report = new CausesReport;

        return array_map(fn (Finding $finding) => [
            'code' => $finding->code,
            'severity' => $finding->severity->value,
            'situation' => $finding->situations === [] ? null : $situation,
            'about' => array_values(array_unique(array_map(strval(...), $finding->about))),
            'sentence' => $finding->sentence,
            'why' => $finding->why,
            'evidence' => $finding->evidence(),
            'cures' => array_map(fn (Cure $cure) => [
                'sentence' => $cure->sentence,
                'edits' => array_map($report->edit(...), $cure->edits),
                'costs' => $cure->costs,
            ], $finding->cures),
        ], array_values(array_filter($findings, fn (Finding $finding) => $finding->isIn($situation))));
    }
}
