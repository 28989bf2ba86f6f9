<?php

declare(strict_types=1);

namespace HiddenWire\Core\Finder;

use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Room\Fault;
use HiddenWire\Core\Room\Signs;

/**
 * What each single fault of a rig would do in a situation: every one is made and heard, once for all questions that follow. Cost: one
 * hearing a fault of what it touches.
 */
final readonly class SuspectTable
{
    /** @var list<int> of each fault: the number of the first that ears and meters can't tell from it */
    public array $classes;

    /** @var array<int, int> how many faults are in a class, by its number */
    public array $sizes;

    /**
     * @param  list<Fault>  $faults  only those that ears or meters notice
     * @param  list<array<string, string>>  $differing  of each: the answers that are not as planned, by check
     * @param  array<string, string>  $planned  answers that the plan lets expect, by check; of checks that any fault answers otherwise
     * @param  int  $heard  how many faults were made and heard
     * @param  int  $all  how many there are
     */
    private function __construct(
        public string $situation,
        public array $faults,
        public array $differing,
        public array $planned,
        public int $heard,
        public int $all,
    ) {
        $classes = $first = $sizes = [];
        foreach ($differing as $number => $answers) {
            ksort($answers);
            $class = $first[serialize($answers)] ??= $number;
            $classes[] = $class;
            $sizes[$class] = ($sizes[$class] ?? 0) + 1;
        }
        $this->classes = $classes;
        $this->sizes = $sizes;
    }

    /** @param  (\Closure(int, int): bool)|null  $goOn  asked before each fault, with how many are heard and how many there are */
    public static function of(Hearings $plan, string $situation, ?\Closure $goOn = null): self
    {
        $planned = new Signs($plan->in($situation));
        $all = Fault::all($plan->rig);
        $faults = $differing = $checks = [];
        $heard = 0;
        foreach ($all as $fault) {
            if ($goOn !== null && ! $goOn($heard, count($all))) {
                break;
            }
            $heard++;
            try {
                $room = new Hearings($fault->edit->applyTo($plan->rig), [], $plan);
            } catch (InvalidRig) {
                continue;
            }
            $answers = $planned->against($room->in($situation));
            if ($answers !== []) {
                $answers += $planned->unlisted($room->in($situation));
                $faults[] = $fault;
                $differing[] = $answers;
                $checks += $answers;
            }
        }
        foreach (array_keys($checks) as $check) {
            $checks[$check] = $planned->answer($check);
        }

        return new self($situation, $faults, $differing, $checks, $heard, count($all));
    }

    /** What a check answers as planned; of a look, nothing is seen. */
    public function plannedAt(string $check): string
    {
        return $this->planned[$check] ?? '';
    }
}
