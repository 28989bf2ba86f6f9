<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Edit\AddListener;
use HiddenWire\Core\Edit\AddPlace;
use HiddenWire\Core\Edit\AddSource;
use HiddenWire\Core\Edit\AddUnit;
use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RemoveUnit;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\BreakFinder;
use HiddenWire\Core\Signal\CutFinder;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/**
 * A change that a page asks for. `edit` says which: a wish (`source` and `listener`, either "*" for all; `want`), a route (`unit`, `route`, `on` or `db`), a point (`unit`, `point`, `mute`, `fader` or `gain`), a
 * cable to unplug, two sockets to join (`from`, `to`), or the remedy of a pair (`source`, `listener`): what the way strip shows. `situation` is where it holds; `revision` what the page was made from.
 */
final class EditRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'edit' => ['required', Rule::in(['wish', 'route', 'point', 'pick', 'plug', 'unplug', 'remedy', 'place', 'add-unit', 'remove-unit', 'add-source', 'add-listener'])],
            'revision' => ['required', 'integer', 'min:1'],
            'situation' => ['nullable', 'string', 'max:64'],
            'source' => ['nullable', 'string', 'max:64'], 'listener' => ['nullable', 'string', 'max:64'],
            'want' => ['nullable', Rule::in(['must', 'may', 'must-not', 'none'])],
            'unit' => ['nullable', 'string', 'max:64'], 'route' => ['nullable', 'string', 'max:131'], 'point' => ['nullable', 'string', 'max:64'], 'cable' => ['nullable', 'string', 'max:64'],
            'from' => ['nullable', 'string', 'max:140'], 'to' => ['nullable', 'string', 'max:140'],
            'name' => ['nullable', 'string', 'max:60'], 'kind' => ['nullable', 'string', 'max:20'], 'model' => ['nullable', 'string', 'max:64'], 'place' => ['nullable', 'string', 'max:64'],
            'at' => ['nullable', 'string', 'max:140'], 'device' => ['nullable', 'string', 'max:200'],
            'on' => ['nullable', 'boolean'], 'mute' => ['nullable', 'boolean'],
            'db' => ['nullable', 'numeric', 'between:-200,200'], 'fader' => ['nullable', 'numeric', 'between:-200,200'], 'gain' => ['nullable', 'numeric', 'between:-200,200'],
        ];
    }

    /**
     * The edits in the core's terms.
     *
     * @return non-empty-list<RigEdit>
     *
     * @throws ValidationException when it names what the rig does not have, or asks for nothing
     */
    public function edits(Rig $rig): array
    {
        $base = array_key_first($rig->situations);
        $situation = $this->filled('situation') ? $this->known('situation', $rig->situations) : null;

        return match ($this->string('edit')->toString()) {
            'wish' => [new SetWish($this->oneOrAll('source', $rig->sources), $this->oneOrAll('listener', $rig->listeners), Want::tryFrom($this->string('want')->toString()), $situation)],
            'route' => [$this->route_($rig, $situation === $base ? null : $situation)],
            'point' => [$this->point_($rig, $situation === $base ? null : $situation)],
            'plug' => [new Plug($this->socket('from', $rig), $this->socket('to', $rig))],
            'unplug' => [new Unplug($this->known('cable', $rig->cables))],
            'pick' => [$this->pick_($rig, $situation === $base ? null : $situation)],
            'place' => [new AddPlace($this->name(), PlaceKind::tryFrom($this->string('kind')->toString()) ?? $this->refuse('kind', 'Choose what kind of place it is.'))],
            'add-unit' => [new AddUnit(CatalogueFiles::catalogue()->models[$this->known('model', CatalogueFiles::catalogue()->models)], $this->known('place', $rig->places), $this->name())],
            'remove-unit' => [new RemoveUnit($this->known('unit', $rig->units))],
            'add-source' => [new AddSource($this->name(), SourceKind::tryFrom($this->string('kind')->toString()) ?? SourceKind::Other, $this->pointOrNone($rig))],
            'add-listener' => [new AddListener($this->name(), ListenerKind::tryFrom($this->string('kind')->toString()) ?? ListenerKind::Headphones, $this->pointOrNone($rig))],
            default => $this->remedy($rig, $situation ?? $base),
        };
    }

    private function route_(Rig $rig, ?string $situation): SetRoute
    {
        $unit = $this->known('unit', $rig->units);
        $key = $this->known('route', $rig->modelOf($unit)->routes);
        $set = new RouteSettings($this->flag('on'), $this->decibels('db'));

        return $set->isEmpty() ? $this->refuse('on', 'Nothing is asked for.') : new SetRoute(new RouteRef($unit, $key), $set, $situation);
    }

    private function point_(Rig $rig, ?string $situation): SetPoint
    {
        $unit = $this->known('unit', $rig->units);
        $point = $this->known('point', $rig->modelOf($unit)->points);
        $set = new PointSettings($this->decibels('gain'), $this->decibels('fader'), $this->flag('mute'));

        return $set->isEmpty() ? $this->refuse('mute', 'Nothing is asked for.') : new SetPoint(new PointRef($unit, $point), $set, $situation);
    }

    /** @return non-empty-list<RigEdit> */
    private function remedy(Rig $rig, string $situation): array
    {
        $hearing = new Hearing((new GraphBuilder($rig))->build($rig->situations[$situation]));
        $pair = $hearing->pair($this->known('source', $rig->sources), $this->known('listener', $rig->listeners));
        $edits = $pair->verdict === Verdict::Missing
            ? array_map(fn ($change) => $change->edit, (new BreakFinder($hearing->graph))->between($pair->source, $pair->listener)->changes ?? [])
            : array_map(fn ($change) => $change->edit, (new CutFinder($hearing))->of($pair)->changes);
        $made = array_values(array_filter($edits));

        return $made === [] || count($made) < count($edits) ? $this->refuse('edit', 'There is no remedy here that can be made with one click.') : $made;
    }

    /** @param  array<string, mixed>  $things */
    private function known(string $key, array $things): string
    {
        $id = $this->string($key)->toString();

        return isset($things[$id]) ? $id : $this->refuse($key, "The rig has no {$key} \"{$id}\".");
    }

    /** @param  array<string, mixed>  $things */
    private function oneOrAll(string $key, array $things): ?string
    {
        return $this->string($key)->toString() === '*' ? null : $this->known($key, $things);
    }

    private function name(): string
    {
        $name = trim($this->string('name')->toString());

        return $name === '' ? $this->refuse('name', 'Give it a name.') : $name;
    }

    private function pointOrNone(Rig $rig): ?PointRef
    {
        if (! $this->filled('at')) {
            return null;
        }
        [$unit, $point] = [...explode('/', $this->string('at')->toString(), 2), ''];

        return isset($rig->units[$unit], $rig->modelOf($unit)->points[$point]) ? new PointRef($unit, $point) : $this->refuse('at', 'The rig has no such point.');
    }

    private function pick_(Rig $rig, ?string $situation): SetPick
    {
        $at = new PointRef($this->known('unit', $rig->units), $this->known('point', $rig->modelOf($this->string('unit')->toString())->points));
        $host = $rig->hostOf($rig->units[$at->unit]->place);
        $picks = $rig->point($at)->picks;
        $choice = $this->string('device')->toString();
        if ($choice === '' || $host === null || $picks === null) {
            return new SetPick($at, null);
        }
        if (SystemDefault::tryFrom($choice) !== null) {
            return new SetPick($at, new Pick($at, null, SystemDefault::from($choice)), $situation);
        }
        $device = (new GraphBuilder($rig))->devices()->of($host->id)[$choice] ?? $this->refuse('device', 'The computer has no such device.');

        return new SetPick($at, new Pick($at, $device->ref, tap: $device->direction === $picks ? null : $device->direction), $situation);
    }

    private function socket(string $key, Rig $rig): SocketRef
    {
        [$unit, $socket] = [...explode('/', $this->string($key)->toString(), 2), ''];

        return isset($rig->units[$unit], $rig->modelOf($unit)->sockets[$socket]) ? new SocketRef($unit, $socket) : $this->refuse($key, 'Choose the socket for the other end.');
    }

    private function flag(string $key): ?bool
    {
        return $this->filled($key) ? $this->boolean($key) : null;
    }

    private function decibels(string $key): ?Decibels
    {
        return $this->filled($key) ? Decibels::of($this->float($key)) : null;
    }

    private function refuse(string $key, string $message): never
    {
        throw ValidationException::withMessages([$key => $message]);
    }
}
