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

    /** Columns looked at; each new listener copies the rig. */
    private const MOST_COLUMNS = 200;

    /** @var array<int, string> ids of listeners, by column */
    private array $listeners = [];

    private ?int $kinds = null;

    /** @var list<PlannedRow> */
    public readonly array $rows;

    /** The rig as all that can be made would leave it. */
    public readonly Rig $after;

    private readonly PlannedRows $planned;

    public function __construct(Rig $rig, CsvTable $table)
    {
        [$rig, $rows] = $this->begin($rig, $table->columns);
        $this->planned = new PlannedRows($rig, $table, AddSource::class, $this->edits(...), $rows);
        $this->rows = $this->planned->rows;
        $this->after = $this->planned->after;
    }

    /** @return list<RigEdit> all that can be made */
    public function all(): array
    {
        return $this->planned->all();
    }

    public function count(string $outcome): int
    {
        return $this->planned->count($outcome);
    }

    /**
     * Which column is whom; listeners that are new, and columns that are nobody, are reported as of the first line.
     *
     * @param  list<string>  $columns
     * @return array{Rig, list<PlannedRow>} the rig as it leaves it, and what it makes
     */
    private function begin(Rig $rig, array $columns): array
    {
        $rows = [];
        foreach (array_slice($columns, 1, self::MOST_COLUMNS, true) as $at => $head) {
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
        if (count($columns) > self::MOST_COLUMNS + 1) {
            $rows[] = new PlannedRow(1, 'problem', 'Only '.self::MOST_COLUMNS
                .' columns are read at once. Import the rest in a file of its own.');
        }

        return [$rig, $rows];
    }

    /**
     * @param  list<string>  $row
     * @return list<RigEdit>
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
        $wishes = array_filter($rig->wishes, fn (Wish $wish) => $wish->source === $source);
        $pairs = [];
        foreach ($this->listeners as $at => $listener) {
            $cell = mb_strtolower(trim($row[$at] ?? ''));
            if ($cell === '') {
                continue;
            }
            $want = self::WORDS[$cell] ?? throw self::wrong("\"{$cell}\" is no wish: write must, may or must not, or nothing.");
            if (! self::isWished($wishes, $listener, $want)) {
                $pairs[$want->value][] = [$source, $listener];
            }
        }
        foreach ($pairs as $want => $of) {
            $edits[] = new SetWishes($of, Want::from((string) $want));
        }

        return $edits;
    }

    /**
     * Whether just this is wished already, in all situations.
     *
     * @param  array<array-key, Wish>  $wishes  of one sound
     */
    private static function isWished(array $wishes, string $listener, Want $want): bool
    {
        $wishes = array_values(array_filter($wishes, fn (Wish $wish) => $wish->listener === $listener));

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
