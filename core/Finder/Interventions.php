<?php

declare(strict_types=1);

namespace HiddenWire\Core\Finder;

use HiddenWire\Core\Bench\Impression;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Room\LeadWork;
use HiddenWire\Core\Signal\HopKind;

/**
 * Which leads are worth taking out or changing ({@see LeadWork}), and what each suspicion lets expect of that; it is heard when it is asked
 * for. Cost: a hearing a suspicion and lead.
 */
final class Interventions
{
    /** Leads on the way of a complaint that are offered. */
    private const LEADS = 3;

    /** @var array<string, string> by faults and check */
    private array $heard = [];

    public function __construct(private readonly Hearings $plan, private readonly string $situation, private readonly SuspectTable $table)
    {
    }

    /**
     * @param  array<string, string>  $known  answers by check: the first sound that is not as planned is listened to
     * @param  list<Suspicion>  $suspicions
     * @return list<string> checks that may tell something of them
     */
    public function checks(array $known, array $suspicions): array
    {
        foreach ($known as $complaint => $answer) {
            [$kind, $source, $listener] = explode(' ', (string) $complaint) + [1 => '', 2 => ''];
            if ($kind !== 'hear' || $answer === $this->table->plannedAt((string) $complaint)
                || ! isset($this->plan->rig->sources[$source], $this->plan->rig->listeners[$listener])) {
                continue;
            }
            $suspected = $leads = [];
            foreach ($suspicions as $suspicion) {
                foreach ($suspicion->faults as $fault) {
                    foreach ($this->table->faults[$fault]->about() as $about) {
                        $suspected += str_starts_with($about, 'cable:') ? [substr($about, 6) => true] : [];
                    }
                }
            }
            foreach ($this->plan->in($this->situation)->pair($source, $listener)->arrivals() as $arrival) {
                foreach ($arrival->hopsOf(HopKind::Cable) as $hop) {
                    $leads[$hop->ref] = true;
                }
            }

            return [
                ...array_map(fn (int|string $cable): string => "swap {$cable} {$source} {$listener}", array_keys($suspected)),
                ...array_map(
                    fn (int|string $cable): string => "unplug {$cable} {$source} {$listener}",
                    array_slice(array_keys($leads), 0, self::LEADS),
                ),
            ];
        }

        return [];
    }

    /** An {@see Impression}: what would be heard. */
    public function answer(Suspicion $suspicion, string $check): string
    {
        return $this->heard[implode(' ', $suspicion->faults)."|{$check}"] ??= $this->known($suspicion, $check) ?? LeadWork::heard(
            $this->plan,
            $this->situation,
            array_map(fn (int $number) => $this->table->faults[$number], $suspicion->faults),
            $check,
        );
    }

    /** What the table tells already: with another lead a single fault is gone, or is as it was. */
    private function known(Suspicion $suspicion, string $check): ?string
    {
        [$kind, $cable, $source, $listener] = explode(' ', $check) + [1 => '', 2 => '', 3 => ''];
        if ($kind !== 'swap' || count($suspicion->faults) > 1) {
            return null;
        }
        $fault = $suspicion->faults[0];
        $planned = $this->plan->in($this->situation)->pair($source, $listener);
        $isGone = in_array("cable:{$cable}", $this->table->faults[$fault]->about(), true);

        return ($isGone ? null : $this->table->differing[$fault]["hear {$source} {$listener}"] ?? null) ?? Impression::of($planned)->value;
    }
}
