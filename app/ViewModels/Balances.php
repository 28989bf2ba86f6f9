<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Signal\Compared;

/** Listeners that have to hear the balance of others: which sounds are off, and both compared sound by sound. */
final readonly class Balances
{
    /**
     * @var list<array{balance: Balance, words: string, here: string, there: string, compared: Compared, off: array<string, string>}> `off`
     *     in words by the name of each sound that is: "5.0 dB too loud"
     */
    public array $all;

    public function __construct(RigPage $page)
    {
        $this->all = array_map(function (Balance $one) use ($page): array {
            $compared = new Compared($page->hearing, $one->listener, $one->like);
            $off = [];
            foreach ($compared->beyond($one->withinDb) as $source => $db) {
                $off[$page->rig->sources[$source]->name] = number_format(abs($db), 1).' dB too '.($db > 0 ? 'loud' : 'soft');
            }

            return [
                'balance' => $one,
                'words' => $one->words($page->rig),
                'here' => $page->rig->listeners[$one->listener]->name,
                'there' => $page->rig->listeners[$one->like]->name,
                'compared' => $compared,
                'off' => $off,
            ];
        }, $page->rig->balances);
    }
}
