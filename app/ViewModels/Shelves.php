<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Content\Place;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;

/** A rig that a person may change, with its places: where a model of the catalogue can go. */
final readonly class Shelves
{
    /** Rigs offered, the latest first. */
    private const MOST = 30;

    /** @param  array<string, string>  $places  by what a form sends, `rig:place` */
    private function __construct(public string $rig, public array $places)
    {
    }

    /** @return list<self> */
    public static function of(User $user): array
    {
        $rigs = $user->visibleRigs()->select(['rigs.id', 'rigs.name', 'rigs.user_id', 'rigs.crew_id'])->whereNull('rigs.trouble')
            ->latest('rigs.updated_at')->limit(self::MOST)->get()->filter(fn (Rig $rig) => $rig->allows($user, MemberRole::Edit));
        $places = Place::query()->whereIn('rig_id', $rigs->modelKeys())->orderBy('position')
            ->get(['rig_id', 'key', 'name'])->groupBy('rig_id');

        return array_values($rigs->map(function (Rig $rig) use ($places): self {
            $own = [];
            foreach ($places[$rig->id] ?? [] as $place) {
                $own["{$rig->id}:{$place->getAttribute('key')}"] = $place->getAttribute('name');
            }

            return new self($rig->name, $own ?: ["{$rig->id}:" => 'a new place, Desk']);
        })->all());
    }
}
