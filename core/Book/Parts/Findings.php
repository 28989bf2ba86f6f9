<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\Block;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\See;
use HiddenWire\Core\Book\Table;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Acceptance;
use HiddenWire\Core\Rig\CableRef;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\UnitRef;

/** What is not as wished, why, and what would mend it. */
final class Findings implements Part
{
    public function key(): string
    {
        return 'findings';
    }

    public function title(): string
    {
        return 'What stands wrong now';
    }

    public function blocks(BookInput $of): array
    {
        return [...$this->causes($of), ...$this->findings($of)];
    }

    /** @return list<Block> */
    private function findings(BookInput $of): array
    {
        $findings = $of->findings() ?? [];
        $papers = $of->rig->papers;
        $isAccepted = fn (Finding $one): bool => $papers->acceptanceOf($one->evidence()) !== null;
        $open = array_values(array_filter($findings, fn (Finding $one) => ! $isAccepted($one)));
        $accepted = array_values(array_filter($findings, $isAccepted));

        $found = array_map(fn (Finding $one) => $one->evidence(), $findings);
        foreach ($of->causes() ?? [] as $cause) {
            array_push($found, ...$cause->evidences());
        }
        $gone = array_values(array_filter($papers->accepted, fn (Acceptance $one) => ! in_array($one->evidence, $found, true)));

        return [
            ...($open === [] ? [] : [new Heading('What the checks find'), new Table(
                ['Severity', 'Finding', 'What to do', 'See'],
                array_map(fn (Finding $one) => [
                    $one->severity->value, $one->sentence, $one->cures === [] ? $one->why : $one->cures[0]->sentence,
                    self::see($of, $one->about[0] ?? null),
                ], $open),
                [0.6, 2.2, 2.1, 1.1],
            )]),
            ...($accepted === [] ? [] : [new Heading('Accepted findings'), new Table(
                ['Finding', 'Why it may stay'],
                array_map(fn (Finding $one) => [$one->sentence, $papers->acceptanceOf($one->evidence())->why ?? ''], $accepted),
                [2.4, 2.2],
            )]),
            ...($gone === [] ? [] : [new Heading('Accepted once, and not found as it is'), new Table(
                ['Finding', 'Why it could stay'],
                array_map(fn (Acceptance $one) => [$one->says, $one->why], $gone),
                [2.4, 2.2],
            )]),
        ];
    }

    /** @return list<Block> */
    private function causes(BookInput $of): array
    {
        if ($of->rig->wishes === []) {
            return [new Text('No wishes yet, so nothing can be open.')];
        }
        $causes = $of->causes();
        if ($causes === null) {
            return [new Text('The causes have not been looked for since the last change. Open the wishes, then write the book again.')];
        }

        $papers = $of->rig->papers;
        $accepted = array_filter($causes, fn (Cause $cause) => $papers->acceptanceOf(...$cause->evidences()) !== null);
        $open = array_values(array_udiff($causes, $accepted, fn (Cause $a, Cause $b) => spl_object_id($a) <=> spl_object_id($b)));

        return [
            $open === [] ? new Text($accepted === [] ? 'All as wished, in every situation.' : 'Nothing but what is accepted.') : new Table(
                ['Cause', 'Touches', 'What mends it', 'See'],
                array_map(fn (Cause $cause) => [
                    $cause->sentence,
                    Count::of(count($cause->cells), 'cell'),
                    $cause->cures === [] ? ($cause->why ?? '') : $cause->cures[0]->sentence,
                    self::see($of, $cause->about[0] ?? null),
                ], $open),
                [2.1, 0.7, 2.1, 1.1],
            ),
            ...($accepted === [] ? [] : [new Heading('Accepted'), new Table(
                ['Cause', 'Touches', 'Why it may stay'],
                array_values(array_map(fn (Cause $cause) => [
                    $cause->sentence,
                    Count::of(count($cause->cells), 'cell'),
                    $papers->acceptanceOf(...$cause->evidences())->why ?? '',
                ], $accepted)),
                [2.2, 0.7, 2.2],
            )]),
        ];
    }

    /** The part of the book that has the thing. */
    private static function see(BookInput $of, ?object $at): See
    {
        return new See(match (true) {
            $at instanceof CableRef, $at instanceof SocketRef => new CableSchedule,
            $at instanceof DeviceRef, $at instanceof PointRef && isset($of->rig->picks[(string) $at]) => new Computers,
            $at instanceof PointRef, $at instanceof RouteRef => new Mixes,
            $at instanceof UnitRef => new Units,
            default => new WhoHearsWhat,
        });
    }
}
