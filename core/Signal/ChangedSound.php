<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Altered;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wish;

/** In which situations a change of a rig can change what is heard, without hearing any. Costs a comparison of things by identity. */
final readonly class ChangedSound
{
    /** @var list<string>|null sources whose wishes changed, where nothing else did but situations; null where it did */
    private ?array $wishes;

    public function __construct(private Rig $before, private Rig $after)
    {
        $this->wishes = $this->isSameBesides() ? $this->wishesOf() : null;
    }

    /**
     * What has to be heard anew in a situation.
     *
     * @return list<string>|null sources whose wishes changed, where nothing else did; null where any sound may have changed
     */
    public function in(string $situation): ?array
    {
        $isSame = ($this->before->situations[$situation] ?? null) === $this->after->situations[$situation]
            && $this->before->base()->plugged === $this->after->base()->plugged;

        return $isSame ? $this->wishes : null;
    }

    /** Whether nothing at all is otherwise in a situation, names included; wishes aside. */
    public function isNone(string $situation): bool
    {
        return $this->in($situation) !== null && $this->before->units === $this->after->units;
    }

    private function isSameBesides(): bool
    {
        [$was, $is] = [$this->before, $this->after];
        // What a unit is called and noted changes no sound.
        $plain = fn (Unit $unit): Unit => $unit->with(name: '', firmware: '', serial: '', inventory: '', notes: '');

        return $was->models === $is->models && $was->cables === $is->cables && $was->devices === $is->devices
            && $was->picks === $is->picks && $was->air === $is->air && $was->places === $is->places
            && $was->sources === $is->sources && $was->listeners === $is->listeners
            && $was->papers->measures === $is->papers->measures
            && ($was->units === $is->units || array_map($plain, $was->units) == array_map($plain, $is->units));
    }

    /** @return list<string> */
    private function wishesOf(): array
    {
        return array_values(array_unique(array_map(fn (Wish $wish) => $wish->source, [
            ...Altered::besides($this->before->wishes, $this->after->wishes),
            ...Altered::besides($this->after->wishes, $this->before->wishes),
        ])));
    }
}
