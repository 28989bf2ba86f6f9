<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

use HiddenWire\Core\Edit\AddListener;
use HiddenWire\Core\Edit\AddSource;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetWishes;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/**
 * A table of sounds and wishes against a rig: the first column names sounds, one may say their kinds, and each other column is a listener,
 * "Viewers" or "Viewers (stream)" where it is new. Row by row, what would be made of it and what can't.
 */
final class WishPlan
{
    private const WORDS = [
        'must' => Want::Must, 'must hear' => Want::Must, 'yes' => Want::Must, 'x' => Want::Must, '1' => Want::Must,
        'may' => Want::May, 'may hear' => Want::May, 'maybe' => Want::May,
        'must not' => Want::MustNot, 'must-not' => Want::MustNot, 'not' => Want::MustNot, 'no' => Want::MustNot, '0' => Want::MustNot,
    ];

    /** @var list<PlannedRow> */
    public readonly array $rows;

    /** @var array<int, string> ids of listeners, by column */
    private array $listeners = [];

    private ?int $kinds = null;

    public function __construct(Rig $rig, CsvTable $table)
    {
        $rows = $this->columns($rig, $table->columns);
        foreach ($rows as $row) {
            foreach ($row->edits as $edit) {
                $rig = $edit->applyTo($rig);
            }
        }
        foreach ($table->rows as $line => $row) {
            try {
                [$edits, $isNew] = $this->edits($rig, $row);
                $words = [];
                foreach ($edits as $edit) {
                    $words[] = $edit->words($rig);
                    $rig = $edit->applyTo($rig);
                }
                $rows[] = $edits === [] ? new PlannedRow($line, 'same', 'Is there already, like this.')
                    : new PlannedRow($line, $isNew ? 'new' : 'changed', implode('; ', $words), $edits);
            } catch (InvalidRig $e) {
                $rows[] = new PlannedRow($line, 'problem', $e->problems[0]->message);
            }
        }
        $this->rows = $rows;
    }

    /** @return list<RigEdit> all that can be made */
    public function all(): array
    {
        return array_merge(...array_map(fn (PlannedRow $row) => $row->edits, $this->rows));
    }

    public function count(string $outcome): int
    {
        return count(array_filter($this->rows, fn (PlannedRow $row) => $row->outcome === $outcome));
    }

    /**
     * Which column is whom; listeners that are new, and columns that are nobody, are told as of the first line.
     *
     * @param  list<string>  $columns
     * @return list<PlannedRow>
     */
    private function columns(Rig $rig, array $columns): array
    {
        $rows = [];
        foreach (array_slice($columns, 1, null, true) as $at => $head) {
            $name = trim($head);
            if (mb_strtolower($name) === 'kind') {
                $this->kinds = $at;

                continue;
            }
            $known = self::named($rig->listeners, $name);
            if ($known !== null) {
                $this->listeners[$at] = $known;

                continue;
            }
            preg_match('/^(.+?)\s*\(([^()]+)\)$/u', $name, $found);
            $kind = isset($found[2]) ? ListenerKind::tryFrom(mb_strtolower(trim($found[2]))) : null;
            $plain = mb_substr($found[1] ?? '', 0, Bounds::SHORT_NAME);
            $known = self::named($rig->listeners, $plain);
            if ($known !== null) {
                $this->listeners[$at] = $known;
            } elseif ($kind === null) {
                $rows[] = new PlannedRow(1, 'problem', $name === '' ? 'Column '.($at + 1).' has no heading.'
                    : "There is no listener called \"{$name}\". Write \"{$name} (stream)\" to add one; the kinds are "
                    .implode(', ', array_column(ListenerKind::cases(), 'value')).'.');
            } else {
                $add = new AddListener($plain, $kind, null);
                $words = $add->words($rig);
                $rig = $add->applyTo($rig);
                $this->listeners[$at] = (string) array_key_last($rig->listeners);
                $rows[] = new PlannedRow(1, 'new', $words, [$add]);
            }
        }

        return $rows;
    }

    /**
     * @param  list<string>  $row
     * @return array{list<RigEdit>, bool} the edits, and whether the sound is new
     *
     * @throws InvalidRig where a cell says nothing that is known
     */
    private function edits(Rig $rig, array $row): array
    {
        $name = mb_substr(trim($row[0] ?? ''), 0, Bounds::SHORT_NAME);
        if ($name === '') {
            throw self::wrong('The first column names the sound.');
        }
        $said = mb_strtolower(trim($this->kinds === null ? '' : $row[$this->kinds] ?? ''));
        $kind = $said === '' ? SourceKind::Other : SourceKind::tryFrom($said) ?? throw self::wrong("\"{$said}\" is no kind of sound: write "
            .implode(', ', array_column(SourceKind::cases(), 'value')).'.');
        $source = self::named($rig->sources, $name);
        $edits = [];
        if ($source === null) {
            $edits[] = new AddSource($name, $kind, null);
            $source = (string) array_key_last($edits[0]->applyTo($rig)->sources);
        }
        $pairs = [];
        foreach ($this->listeners as $at => $listener) {
            $cell = mb_strtolower(trim($row[$at] ?? ''));
            if ($cell === '') {
                continue;
            }
            $want = self::WORDS[$cell] ?? throw self::wrong("\"{$cell}\" is no wish: write must, may or must not, or nothing.");
            if (! self::isWished($rig, $source, $listener, $want)) {
                $pairs[$want->value][] = [$source, $listener];
            }
        }
        foreach ($pairs as $want => $of) {
            $edits[] = new SetWishes($of, Want::from((string) $want));
        }

        return [$edits, ($edits[0] ?? null) instanceof AddSource];
    }

    /** Whether just this is wished already, in all situations. */
    private static function isWished(Rig $rig, string $source, string $listener, Want $want): bool
    {
        $wishes = array_values(array_filter(
            $rig->wishes,
            fn (Wish $wish) => $wish->source === $source && $wish->listener === $listener,
        ));

        return count($wishes) === 1 && $wishes[0]->want === $want && $wishes[0]->situations === [];
    }

    /**
     * @param  array<array-key, \HiddenWire\Core\Rig\Source|Listener>  $things
     * @return string|null id of the one that is called so
     */
    private static function named(array $things, string $name): ?string
    {
        foreach ($things as $thing) {
            if (mb_strtolower($thing->name) === mb_strtolower($name)) {
                return $thing->id;
            }
        }

        return null;
    }

    private static function wrong(string $message): InvalidRig
    {
        return new InvalidRig([new Problem('/wishes', $message)]);
    }
}
