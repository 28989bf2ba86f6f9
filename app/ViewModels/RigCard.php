<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Rig;
use App\Rigs\Recovery;
use App\Rigs\StoredRig;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Rig\Rig as CoreRig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Verdict;

/** A rig on the Rigs page: a small drawing and how it stands in its base situation. */
final readonly class RigCard
{
    /** Null where it can't be read. */
    public ?CoreRig $content;

    /** @var array<string, int> */
    public array $counts;

    /** Why it can't be read; null where it can. */
    public ?string $trouble;

    /** The number of the last revision that can be read, where the rig itself can't. */
    public ?int $lastReadable;

    public function __construct(public Rig $rig)
    {
        try {
            $content = StoredRig::load($rig);
            $trouble = null;
        } catch (InvalidDocument $e) {
            $content = null;
            $trouble = "{$e->problems[0]->pointer}: {$e->problems[0]->message}";
        }
        $this->content = $content;
        $this->trouble = $trouble;
        $this->lastReadable = $trouble === null ? null : Recovery::lastReadable($rig)?->number;
        $this->counts = $content === null ? [] : (new Hearing((new GraphBuilder($content))->build($content->base())))->counts();
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
        $geometry = $this->rig->layouts->firstWhere('depth', MapDepth::Cables->value)?->geometry;

        return $geometry;
    }

    /** How much there is in it, in words. */
    public function counted(): string
    {
        return $this->content === null
            ? ''
            : trans_choice('{0} no unit|{1} :count unit|[2,*] :count units', count($this->content->units)).' · '.trans_choice(
                '{0} no cable|{1} :count cable|[2,*] :count cables',
                count($this->content->cables),
            );
    }

    public function atOdds(): int
    {
        return array_sum(array_map(
            fn (Verdict $verdict) => $verdict->isAtOdds() ? $this->counts[$verdict->value] ?? 0 : 0,
            Verdict::cases(),
        ));
    }
}
