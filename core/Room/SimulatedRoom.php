<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\Hearing;

/** A stand-in for the real rig: built as planned but for faults that nobody is told of. It answers whoever listens, reads or looks. */
final readonly class SimulatedRoom
{
    /** @var array<string, string> what is not as planned, by check */
    private array $differing;

    private Signs $planned;

    private Hearings $hearings;

    /**
     * @param  list<Fault>  $faults  those that are hidden in it
     *
     * @throws InvalidRig where two of them cannot be together
     */
    public function __construct(private Hearings $plan, public string $situation, private array $faults)
    {
        $real = array_reduce($faults, fn (Rig $rig, Fault $fault) => $fault->edit->applyTo($rig), $plan->rig);
        $this->hearings = new Hearings($real, [], $plan);
        $this->planned = new Signs($plan->in($situation));
        $there = $this->hearings->in($situation);
        $this->differing = $this->planned->against($there) + $this->planned->unlisted($there);
    }

    /** What is heard there in truth. */
    public function hearing(): Hearing
    {
        return $this->hearings->in($this->situation);
    }

    /** @return array<string, string> what its listeners complain of: the cells that are wrong here and not in the plan, by check */
    public function complaints(): array
    {
        $said = [];
        $plan = $this->plan->in($this->situation);
        foreach ($this->hearings->in($this->situation)->all() as $pair) {
            $was = $plan->pair($pair->source->id, $pair->listener->id);
            if ($pair->verdict->isAtOdds() && Impression::of($pair) !== Impression::of($was)) {
                $said["hear {$pair->source->id} {$pair->listener->id}"] = Impression::of($pair)->value;
            }
        }

        return $said;
    }

    /** What a check answers here; of a look, what is seen that is not as planned. */
    public function answer(string $check): string
    {
        return match (true) {
            str_starts_with($check, 'look ') => implode("\n", $this->seen($check)),
            LeadWork::isOne($check) => LeadWork::heard($this->plan, $this->situation, $this->faults, $check),
            default => $this->differing[$check] ?? $this->planned->answer($check),
        };
    }

    /** @return list<string> */
    private function seen(string $check): array
    {
        $seen = [];
        foreach ($this->faults as $fault) {
            if ($fault->outlook->key() === $check) {
                $seen[] = $fault->words;
            }
        }
        sort($seen);

        return $seen;
    }
}
