<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** A wish is about a sound and a listener, and one at a time. */
final class WishRule implements Rule
{
    public function check(Fit $in): void
    {
        $seen = [];
        foreach ($in->parts->wishes as $i => $wish) {
            $in->known('sources', $wish->source, "/wishes/{$i}/source", 'source');
            $in->known('listeners', $wish->listener, "/wishes/{$i}/listener", 'listener');
            foreach ($wish->situations as $s => $situation) {
                $in->known('situations', $situation, "/wishes/{$i}/situations/{$s}", 'situation');
            }
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
