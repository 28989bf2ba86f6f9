<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Rules;

/** A balance is that of two listeners, said once. */
final class BalanceRule implements Rule
{
    public function reads(): array
    {
        return ['balances'];
    }

    public function check(Fit $in): void
    {
        $seen = [];
        foreach ($in->parts->balances as $b => $balance) {
            if ($balance->listener === $balance->like) {
                $in->problem("/balances/{$b}/like", 'A balance is that of another listener.');
            }
            if (isset($seen[$balance->key()])) {
                $in->problem("/balances/{$b}", "/balances/{$seen[$balance->key()]} says this already.");
            }
            $seen[$balance->key()] = $b;
        }
    }
}
