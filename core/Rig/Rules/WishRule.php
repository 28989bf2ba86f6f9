<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** For a pair and a situation one thing is wished. */
final class WishRule implements Rule
{
    public function reads(): array
    {
        return ['wishes'];
    }

    public function check(Fit $in): void
    {
        $seen = [];
        foreach ($in->parts->wishes as $i => $wish) {
            foreach ($wish->situations === [] ? [''] : $wish->situations as $situation) {
                $key = $wish->source.' '.$wish->listener.' '.$situation;
                if (isset($seen[$key])) {
                    $in->problem(
                        "/wishes/{$i}",
                        "/wishes/{$seen[$key]} says what is wanted for this pair already"
                            .($situation === '' ? '.' : " in \"{$situation}\"."),
                    );
                }
                $seen[$key] = $i;
            }
        }
    }
}
