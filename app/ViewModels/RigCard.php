<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Revision;
use App\Models\Rig;
use App\Rigs\RigCounts;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Signal\Verdict;

/** A rig on the Rigs page: a small drawing and the state of its base situation, all of it from what is kept with its revision. */
final readonly class RigCard
{
    /** @var array<string, int> pairs by verdict; empty where nobody has counted */
    public array $counts;

    /** Whether it has been counted by this build of the core. */
    public bool $isKnown;

    /** @param  bool  $isOwn  whether whoever looks may delete it */
    public function __construct(public Rig $rig, private ?Revision $standing, public bool $isOwn)
    {
        $this->counts = $standing->counts ?? [];
        $this->isKnown = $rig->trouble !== null || RigCounts::isKnown($standing);
    }

    /**
     * @return array{width: float, height: float, boxes: array<string, array{float, float, float, float}>, edges: array<string,
     *     array{points: list<array{float, float}>}>}|null
     */
    public function drawing(): ?array
    {
        /**
         * @var array{width: float, height: float, boxes: array<string, array{float, float, float, float}>, edges: array<string,
         *     array{points: list<array{float, float}>}>}|null $geometry
         */
        $geometry = $this->rig->layouts->first()?->geometry;

        return $geometry;
    }

    /** Whose it is, where it is not whoever looks: ", shared by Ivo Tamm", ", of the crew Night pier". */
    public function whose(): string
    {
        return match (true) {
            $this->rig->crew_id !== null => ", of the crew {$this->rig->crew?->name}",
            $this->isOwn => '',
            default => ", shared by {$this->rig->user?->name}",
        };
    }

    /** Whether whoever looks is in it by an invitation to it alone. */
    public function mayLeave(): bool
    {
        return $this->rig->members->isNotEmpty();
    }

    /** How much there is in it, in words. */
    public function counted(): string
    {
        return $this->standing?->units === null
            ? ''
            : Count::of($this->standing->units, 'unit').' · '.Count::of($this->standing->cables ?? 0, 'cable');
    }

    /** Whether nothing is wished, so that nothing can be as wished or not. */
    public function isWishless(): bool
    {
        return $this->atOdds() === 0 && ($this->counts[Verdict::Ok->value] ?? 0) === 0;
    }

    public function atOdds(): int
    {
        return array_sum(array_map(
            fn (Verdict $verdict) => $verdict->isAtOdds() ? $this->counts[$verdict->value] ?? 0 : 0,
            Verdict::cases(),
        ));
    }
}
