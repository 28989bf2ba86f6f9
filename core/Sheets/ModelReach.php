<?php

declare(strict_types=1);

namespace HiddenWire\Core\Sheets;

use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;

/** What a model would do as it is when new: how strongly each input comes out at each output, heard as everything is. */
final readonly class ModelReach
{
    private const UNIT = 'it';

    /** No id of a document has a colon. */
    private const PROBE = 'before:';

    /** @var array<string, string> labels of points at which something comes in, by id */
    public array $inputs;

    /** @var array<string, string> labels of points at which something goes out, by id */
    public array $outputs;

    /** @var array<string, array<string, float>> dB by output and input; what does not come out is left out */
    public array $levels;

    /** @throws InvalidRig where it can't be heard by itself */
    public function __construct(EquipmentModel $model)
    {
        $this->inputs = self::ends($model, Way::In);
        $this->outputs = self::ends($model, Way::Out);
        $probed = self::probed($model, array_map(strval(...), array_keys($this->inputs)));
        $rig = new Rig(new RigParts(
            'bench',
            places: [new Place('here', PlaceKind::Desk, 'Here')],
            models: [$model->id => $probed],
            units: [new Unit(self::UNIT, $model->id, 'here', $model->name)],
            sources: array_map(fn (string $id) => new Source($id, $this->inputs[$id], SourceKind::Music, [
                new Origin(new PointRef(self::UNIT, self::PROBE.$id), Decibels::zero()),
            ]), array_map(strval(...), array_keys($this->inputs))),
            situations: [$situation = new Situation('base', 'Base')],
        ));
        $field = (new GraphBuilder($rig))->build($situation)->field();
        $levels = [];
        foreach (array_keys($this->outputs) as $output) {
            $there = array_map(fn (float $db) => round($db, 1), $field->levelsAt(self::UNIT."/{$output}"));
            $levels[$output] = array_intersect_key($there, $this->inputs);
        }
        $this->levels = $levels;
    }

    /**
     * The model with a sound of its own before each input.
     *
     * @param  list<string>  $inputs
     */
    private static function probed(EquipmentModel $model, array $inputs): EquipmentModel
    {
        $points = $routes = [];
        foreach ($inputs as $id) {
            $probe = self::PROBE.$id;
            $points[$probe] = new Point($probe, PointKind::Origin, $probe, $model->points[$id]->channels);
            $route = new Route($probe, $id, true, Decibels::zero(), Tap::PostFader, null, null, null, []);
            $routes[$route->key()] = $route;
        }

        // A program is heard as a box: here it needs no computer. And nothing has to feed a box, and no hand moves it.
        return $model->with(
            supply: Supply::None,
            family: $model->isProgram() ? Family::Mixer : $model->family,
            points: [...$model->points, ...$points],
            routes: [...$model->routes, ...$routes],
            controls: [],
        );
    }

    /** @return array<string, string> labels of the points at which something comes in or goes out, by id, in the model's order */
    private static function ends(EquipmentModel $model, Way $way): array
    {
        $ends = [];
        // Of a card the tracks are ends, not the slot.
        foreach ($model->points as $point) {
            $ends += $way === Way::Out && $point->kind === PointKind::Ear ? [$point->id => true] : [];
        }
        foreach ($model->sockets as $socket) {
            foreach ($socket->connector === Connector::Card ? [] : $socket->lanes as $lane) {
                if ($lane->way === $way) {
                    $ends[$lane->point] = true;
                }
            }
        }
        // What a program takes from a device comes in, and so does what others play to a device that it gives.
        [$picks, $gives] = $way === Way::In ? [Direction::Recording, Direction::Playback] : [Direction::Playback, Direction::Recording];
        $found = array_filter(
            $model->points,
            fn (Point $point) => isset($ends[$point->id]) || $point->picks === $picks || $point->device?->direction === $gives,
        );

        // What only has its channels taken by other points leads nowhere itself.
        $shared = array_flip(array_filter(array_map(fn (Point $point) => $point->deviceOf, $model->points)));
        $leads = array_flip(array_map(fn (Route $route) => $route->from, $model->routes));
        $found = array_filter($found, fn (Point $point) => ! isset($shared[$point->id]) || isset($leads[$point->id]));

        return array_map(fn (Point $point) => $point->label, $found);
    }
}
