<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Rig;
use App\Rigs\StoredRig;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;

/** A rig on the Rigs page: a small drawing and how it stands in its base situation. */
final readonly class RigCard
{
    public CoreRig $content;

    /** @var array<string, int> */
    public array $counts;

    public function __construct(public Rig $rig)
    {
        $this->content = StoredRig::load($rig);
        $situation = $this->content->situation();
        assert($situation !== null, 'A rig has a base situation');
        $this->counts = (new Hearing((new GraphBuilder($this->content))->build($situation)))->counts();
    }

    /** @return array{width: float, height: float, boxes: array<string, array{float, float, float, float}>, edges: array<string, array{points: list<array{float, float}>}>}|null */
    public function drawing(): ?array
    {
        /** @var array{width: float, height: float, boxes: array<string, array{float, float, float, float}>, edges: array<string, array{points: list<array{float, float}>}>}|null $geometry */
        $geometry = $this->rig->layouts->firstWhere('depth', MapDepth::Cables->value)?->geometry;

        return $geometry;
    }

    /** How much there is in it, in words. */
    public function counted(): string
    {
        return trans_choice('{0} no unit|{1} :count unit|[2,*] :count units', count($this->content->units)).' · '.trans_choice('{0} no cable|{1} :count cable|[2,*] :count cables', count($this->content->cables));
    }

    public function atOdds(): int
    {
        return array_sum(array_map(fn (Verdict $verdict) => $verdict->isAtOdds() ? $this->counts[$verdict->value] : 0, Verdict::cases()));
    }
}
