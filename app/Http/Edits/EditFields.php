<?php

declare(strict_types=1);

namespace App\Http\Edits;

use App\Models\Rig as Record;
use App\Models\User;
use App\Rigs\CatalogueFiles;
use App\Rigs\Tables\ColumnKind;
use App\ViewModels\ModelSearch;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Source;
use Illuminate\Validation\ValidationException;

/**
 * What a page sends with a change, read against the rig: everything that it names exists, or it is refused with the field and what to do.
 */
final readonly class EditFields extends FormFields
{
    /**
     * @param  array<string, mixed>  $fields
     * @param  Record|null  $record  where the rig is stored
     */
    public function __construct(array $fields, public Rig $rig, public User $user, public ?Record $record = null)
    {
        parent::__construct($fields);
    }

    /**
     * A name for something new: two of one name in one list can't be distinguished.
     *
     * @param  array<array-key, Place|Source|Listener|Situation>  $things  those that are there
     */
    public function newName(array $things, int $most = Bounds::SHORT_NAME): string
    {
        $name = $this->name($most);
        $taken = array_map(fn (Place|Source|Listener|Situation $one) => $one->name, array_values($things));

        return in_array($name, $taken, true)
            ? $this->refuse('name', "There is a {$name} already. Is this \"".Naming::next($name, $taken).'"?')
            : $name;
    }

    /** @param  array<string, mixed>  $things */
    public function known(string $key, array $things): string
    {
        $id = $this->raw($key);

        return isset($things[$id])
            ? $id
            : $this->refuse(
                $key,
                $id === '' ? "Choose a {$key} first." : "The rig has no {$key} \"".mb_strimwidth(mb_scrub($id), 0, 60, '…').'".',
            );
    }

    public function unit(string $key = 'unit'): string
    {
        return $this->known($key, $this->rig->units);
    }

    /** @param  array<string, mixed>  $things */
    public function oneOrAll(string $key, array $things): ?string
    {
        return $this->raw($key) === '*' ? null : $this->known($key, $things);
    }

    /** The situation that a change holds in; null where it is the base, or none is named. */
    public function override(): ?string
    {
        $situation = $this->situation();

        return $situation === null || $this->rig->isBase($situation) ? null : $situation;
    }

    public function situation(): ?string
    {
        return $this->has('situation') ? $this->known('situation', $this->rig->situations) : null;
    }

    /** A point of the unit that is named apart. */
    public function pointOfUnit(): PointRef
    {
        $unit = $this->unit();

        return new PointRef($unit, $this->known('point', $this->rig->modelOf($unit)->points));
    }

    /** A point in one field, `unit/point`. */
    public function point(string $key): PointRef
    {
        return $this->pointCalled($key, $this->raw($key));
    }

    /** A point by its reference. @param  string  $key  the field that is refused where there is none */
    public function pointCalled(string $key, string $ref): PointRef
    {
        [$unit, $point] = [...explode('/', $ref, 2), ''];

        return isset($this->rig->units[$unit], $this->rig->modelOf($unit)->points[$point])
            ? new PointRef($unit, $point)
            : $this->refuse($key, 'The rig has no such point.');
    }

    public function pointOrNone(string $key): ?PointRef
    {
        return $this->has($key) ? $this->point($key) : null;
    }

    /** A socket in one field, `unit/socket`. */
    public function socket(string $key): SocketRef
    {
        [$unit, $socket] = [...explode('/', $this->raw($key), 2), ''];

        return isset($this->rig->units[$unit], $this->rig->modelOf($unit)->sockets[$socket])
            ? new SocketRef($unit, $socket)
            : $this->refuse($key, 'Choose the socket for the other end.');
    }

    /** A model of the catalogue that an edit brings by itself. */
    public function modelNamed(string $id): EquipmentModel
    {
        return CatalogueFiles::catalogue()->models[$id];
    }

    /** A model of the catalogue, or one of the user's own: by its id, or as somebody has typed it. */
    public function model(): EquipmentModel
    {
        $models = CatalogueFiles::with($this->user);
        if ($this->has('model') || ! $this->has('model_name')) {
            return $models[$this->known('model', $models)];
        }
        $search = new ModelSearch($models);
        $name = $this->text('model_name', Bounds::NAME);
        $found = array_map(fn (EquipmentModel $model) => $model->name, array_values($search->find($name)));

        return $search->named($name) ?? $this->refuse('model_name', $found === []
            ? "No model is called \"{$name}\". Search by its use or a socket, or make a model of your own."
            : 'Several models answer to that: '.implode(', ', array_slice($found, 0, 5)).(count($found) > 5 ? ' …' : '').'. Choose one.');
    }

    /**
     * A field of a form that is one of the document, held to what the format says of it: a text, a number, a choice, a switch, or the id of
     * something.
     *
     * @throws ValidationException where it is none
     */
    public function described(Field $field): mixed
    {
        $raw = $this->raw($field->key);
        $number = str_replace([',', '−'], ['.', '-'], trim($raw));
        $said = match (ColumnKind::of($field->type)) {
            ColumnKind::Whole, ColumnKind::Number => is_numeric($number) ? (float) $number : $raw,
            ColumnKind::Flag => $this->flag($field->key) ?? false,
            default => $this->text($field->key, PHP_INT_MAX),
        };
        if ($said === '') {
            return $field->usual instanceof \Closure ? null : $field->usual;
        }
        if ($field->type instanceof Id && $field->type->of !== '') {
            return $this->known($field->key, $this->rig->{$field->type->of});
        }
        $in = new Reading(Rigs::VERSION);
        $value = $field->type->read($said, $in);

        return $in->problems() === [] ? $value : $this->refuse($field->key, $in->problems()[0]->message);
    }

    /** @return array<int, self> rows of a table, by their number in it */
    public function rows(string $key): array
    {
        $rows = [];
        foreach (is_array($this->fields[$key] ?? null) ? $this->fields[$key] : [] as $i => $row) {
            if (is_array($row)) {
                $rows[(int) $i] = new self(
                    array_combine(array_map(strval(...), array_keys($row)), $row),
                    $this->rig,
                    $this->user,
                    $this->record,
                );
            }
        }

        return $rows;
    }

    /** The same fields against another rig: one that a change before has made. */
    public function against(Rig $rig): self
    {
        return new self($this->fields, $rig, $this->user, $this->record);
    }
}
