<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Quantity\Listing;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Signal\Recordings;

/** What the recordings of the situation are good for afterwards: where each sound is best, what can be parted, what to keep. */
final readonly class Afterwards
{
    /** @var list<array{sound: string, track: string, words: string, others: string}> sounds that are on some track */
    public array $best;

    /** Sounds that are on no track, by name. */
    public string $lost;

    /** Sounds of which it is said that they can be left out. */
    private const LEFT_OUT = 3;

    /** @var array<string, string> what the files keep, by the unit that writes them */
    public array $containers;

    /** What can be parted and what to keep, in one line. */
    public string $inShort;

    /** @var list<array{one: string, other: string, why: string}> tracks never to be summed */
    public array $apart;

    private function __construct(RigPage $page, Recordings $recordings)
    {
        $best = $lost = [];
        foreach ($page->rig->sources as $sound) {
            $found = $recordings->best($sound);
            if ($found === null) {
                $lost[] = $sound->name;

                continue;
            }
            $best[] = [
                'sound' => $sound->name,
                'track' => $found->track->name,
                'words' => $found->words(),
                'others' => implode(', ', array_map(fn (Source $one) => $one->name, $found->others)),
            ];
        }
        $this->best = $best;
        $this->lost = implode(', ', $lost);
        $this->containers = $recordings->containers();
        $partable = self::listed($recordings->partable());
        $keep = $recordings->toKeep();
        $this->inShort = match (true) {
            $keep === [] => "nothing is recorded in {$page->situation->name}",
            $partable === '' => 'no sound is alone on a track',
            default => "{$partable} can be parted",
        }.implode('', array_map(
            fn (array $one) => "; {$one['sound']->name} can be left out later, by taking {$one['without']->name}",
            array_slice($recordings->removable(), 0, self::LEFT_OUT),
        )).($keep === [] ? '' : '; '.self::listed($keep).(count($keep) === 1 ? ' holds' : ' hold').' everything');
        $this->apart = array_map(fn (array $pair) => [
            'one' => $pair['one']->name,
            'other' => $pair['other']->name,
            'why' => Recordings::doubled($pair['sounds']),
        ], $recordings->neverSummed());
    }

    /** @param  list<Source|Listener>  $things */
    private static function listed(array $things): string
    {
        $names = array_map(fn (Source|Listener $one) => $one->name, $things);

        return Listing::of($names);
    }

    /** Of the page's situation; null where the rig has no track. */
    public static function of(RigPage $page): ?self
    {
        $recordings = new Recordings($page->hearing);

        return $recordings->tracks === [] ? null : new self($page, $recordings);
    }
}
