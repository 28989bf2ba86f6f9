<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book\Cards;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Book\Card;
use HiddenWire\Core\Book\CardKind;
use HiddenWire\Core\Book\CardStep;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Source;

/** For someone at the far end of a call who knows nothing of sound: what to do, what they will hear, what not, and who hears them. */
final class GuestCard implements CardKind
{
    public static function name(): string
    {
        return 'Guests';
    }

    public static function titles(BookInput $of): array
    {
        $titles = [];
        foreach ($of->rig->listeners as $listener) {
            if (in_array($listener->kind, [ListenerKind::Caller, ListenerKind::Team, ListenerKind::Party], true)) {
                $titles["guest/{$listener->id}"] = $listener->name;
            }
        }

        return $titles;
    }

    public static function card(BookInput $of, string $key): Card
    {
        $listener = $of->rig->listeners[substr($key, strlen('guest/'))];
        $own = self::ownSounds($of, $listener);
        $names = fn (array $things): string => implode(', ', array_map(fn (Source|Listener $one) => $one->name, $things));
        $heard = self::heard($of, $listener, $of->rig->base()->id);
        $others = [];
        foreach (array_slice(array_keys($of->rig->situations), 1) as $id) {
            $then = self::heard($of, $listener, $id);
            [$more, $less] = [self::without($then, $heard), self::without($heard, $then)];
            $changes = array_filter([
                $more === [] ? '' : "you also hear {$names($more)}",
                $less === [] ? '' : "you no longer hear {$names($less)}",
            ]);
            if ($changes !== []) {
                $others[] = new CardStep("{$of->rig->situations[$id]->name}: ".implode('; ', $changes));
            }
        }

        return Card::of($key, "For {$listener->name}", $of->rig->name, [
            'Before we begin' => [
                new CardStep('Use headphones', 'with loudspeakers we would hear ourselves come back from you'),
                new CardStep('Close every other program that makes a sound'),
                new CardStep(
                    'In the call, choose your headphones and your microphone by name',
                    'not "default": that can change while we talk',
                ),
                new CardStep('Say your name and count to five', 'we tell you whether we hear you well'),
            ],
            'What you hear' => [
                new CardStep($heard === [] ? 'Nothing of us, and that is right' : "You hear {$names($heard)}"),
                ...($own === [] ? [] : [new CardStep('You don\'t hear yourself come back from us', 'if you do, tell us at once')]),
                ...$others,
            ],
            'Who hears you' => $own === [] ? [] : self::reached($of, $listener, $own),
            'If something is wrong' => [
                new CardStep('Write it to us in the chat; change nothing by yourself'),
                new CardStep('If we ask for it: leave the call, wait ten seconds, and join again'),
            ],
        ]);
    }

    /**
     * @param  list<Source>  $all
     * @param  list<Source>  $others
     * @return list<Source>
     */
    private static function without(array $all, array $others): array
    {
        return array_values(array_filter($all, fn (Source $one) => ! in_array($one, $others, true)));
    }

    /** @return list<Source> the sounds that begin where the listener is */
    private static function ownSounds(BookInput $of, Listener $listener): array
    {
        $units = array_map(fn ($ear) => $ear->unit, $listener->at);

        return array_values(array_filter(
            $of->rig->sources,
            fn (Source $sound) => array_filter($sound->origins, fn ($origin) => in_array($origin->at->unit, $units, true)) !== [],
        ));
    }

    /** @return list<Source> */
    private static function heard(BookInput $of, Listener $listener, string $situation): array
    {
        return array_values(array_filter(
            $of->rig->sources,
            fn (Source $sound) => $of->hearing($situation)->pair($sound->id, $listener->id)->isHeard(),
        ));
    }

    /**
     * @param  list<Source>  $own
     * @return list<CardStep> who hears them in the default, and what is otherwise in other situations
     */
    private static function reached(BookInput $of, Listener $guest, array $own): array
    {
        $names = fn (array $people): string => implode(', ', array_map(fn (Listener $one) => $one->name, $people));
        $usual = self::hearers($of, $guest, $own, $of->rig->base()->id);
        $steps = [new CardStep($names($usual) ?: 'Nobody yet')];
        foreach (array_slice(array_keys($of->rig->situations), 1) as $id) {
            $then = self::hearers($of, $guest, $own, (string) $id);
            [$more, $less] = [array_diff_key($then, $usual), array_diff_key($usual, $then)];
            $says = $then === [] && $usual !== [] ? 'nobody hears you' : implode('; ', array_filter([
                $more === [] ? '' : "also {$names($more)}", $less === [] ? '' : "not {$names($less)}",
            ]));
            $steps = $says === '' ? $steps : [...$steps, new CardStep("{$of->rig->situations[$id]->name}: {$says}")];
        }

        return $steps;
    }

    /**
     * @param  list<Source>  $own
     * @return array<string, Listener> people and viewers; not the guest, and no track that only the technician has
     */
    private static function hearers(BookInput $of, Listener $guest, array $own, string $situation): array
    {
        return array_filter($of->rig->listeners, fn (Listener $one) => $one->id !== $guest->id && $one->kind !== ListenerKind::Track
            && array_filter($own, fn (Source $sound) => $of->hearing($situation)->pair($sound->id, $one->id)->isHeard()) !== []);
    }
}
