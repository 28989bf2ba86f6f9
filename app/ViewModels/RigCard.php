<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Revision;
use App\Models\Rig;
use App\Rigs\RigCounts;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Signal\Verdict;

/** A rig on the Rigs page: a small drawing and how it stands in its base situation, all of it from what is kept with its revision. */
final readonly class RigCard
{
    /** @var array<string, int> pairs by verdict; empty where nobody has counted */
    public array $counts;

    /** Whether it has been counted by this build of the core. */
    public bool $isKnown;

    public function __construct(public Rig $rig, private ?Revision $standing)
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
