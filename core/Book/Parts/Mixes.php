<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Parts;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Heading;
use HiddenWire\Core\Book\Part;
use HiddenWire\Core\Book\Text;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\SoundField;

/** One sheet a unit with an inside: what each of its outputs gets, in words. */
final class Mixes implements Part
{
    public function key(): string
    {
        return 'mixes';
    }

    public function title(): string
    {
        return 'Mixes';
    }

    public function blocks(BookInput $of): array
    {
        $graph = $of->hearing()->graph;
        $field = $graph->field();
        $blocks = [];
        foreach ($of->rig->units as $unit) {
            $model = $of->rig->modelOf($unit);
            $sentences = array_values(array_filter(array_map(
                fn (Point $point) => $this->sentence($unit, $model, $point, $graph, $field),
                $model->points,
            )));
            if ($sentences !== []) {
                $blocks[] = new Heading($unit->name);
                array_push($blocks, ...array_map(fn (string $sentence) => new Text($sentence), $sentences));
            }
        }

        return $blocks;
    }

    /** "Main gets Mic 1 and Line 3/4 at −6.0 dB. Left out: Computer. Viewers listen."; empty where nothing is mixed. */
    private function sentence(Unit $unit, EquipmentModel $model, Point $output, SignalGraph $graph, SoundField $field): string
    {
        $feeds = array_filter($model->routes, fn (Route $route) => $route->to === $output->id);
        if (count($feeds) < 2 && array_filter($feeds, fn (Route $route) => $route->can !== []) === []) {
            return '';
        }
        $in = $out = [];
        foreach ($feeds as $feed) {
            $now = $graph->state->route($unit->id, $feed);
            $from = $model->points[$feed->from]->label;
            if ($now->on) {
                $tap = match ($now->tap) {
                    Tap::PostFader => '', Tap::PreFader => ' pre-fader', Tap::BeforeMute => ' before its mute',
                    Tap::Input => ' from its input',
                };
                $in[] = $from.($now->db->number() === 0 ? '' : " at {$now->db->text()} dB").$tap;
            } else {
                $out[] = $from;
            }
        }
        $who = array_map(fn (Listener $one) => $one->name, $field->listenersBehind("{$unit->id}/{$output->id}"));
        // An output that nothing goes to and nobody listens behind is as if it were not there.
        if ($in === [] && $who === []) {
            return '';
        }

        return "{$output->label} gets ".($in === [] ? 'nothing' : Listing::of($in)).'.'
            .($out === [] ? '' : ' Left out: '.Listing::of($out).'.')
            .($who === [] ? '' : ' '.Listing::of($who).(count($who) === 1 ? ' listens.' : ' listen.'));
    }
}
