<?php

declare(strict_types=1);

namespace App\Http\Requests;

use HiddenWire\Core\Edit\Plug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetWish;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
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
            'edit' => ['required', Rule::in(['wish', 'route', 'point', 'plug', 'unplug', 'remedy'])],
            'revision' => ['required', 'integer', 'min:1'],
            'situation' => ['nullable', 'string', 'max:64'],
            'source' => ['nullable', 'string', 'max:64'], 'listener' => ['nullable', 'string', 'max:64'],
            'want' => ['nullable', Rule::in(['must', 'may', 'must-not', 'none'])],
            'unit' => ['nullable', 'string', 'max:64'], 'route' => ['nullable', 'string', 'max:131'], 'point' => ['nullable', 'string', 'max:64'], 'cable' => ['nullable', 'string', 'max:64'],
            'from' => ['nullable', 'string', 'max:140'], 'to' => ['nullable', 'string', 'max:140'],
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
