<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CardTick;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;
use HiddenWire\Core\Book\Card;

/** Keeps what was ticked on a card. Several phones may have ticked without a network: of each step, the later tick holds. */
final class TickCard
{
    /** How far a phone's clock may be ahead, in milliseconds; a later time is taken as now. */
    private const AHEAD_MS = 60_000;

    /**
     * @param  list<array{step: string, on: bool, at: int}>  $ticks  `at` in milliseconds since 1970; steps that the card does not have (any
     *     more) are passed over
     * @return array<string, array{on: bool, at: int}> the current state of the card, by step
     */
    public function __invoke(Rig $rig, User $by, Card $card, array $ticks): array
    {
        return RigTransaction::do(function () use ($rig, $by, $card, $ticks): array {
            RowLock::rig($rig->id);
            $now = (int) (microtime(true) * 1000);
            $known = array_flip($card->stepKeys());
            $stands = self::standing($rig, $card);
            foreach ($ticks as $tick) {
                $at = $tick['at'] > $now + self::AHEAD_MS ? $now : $tick['at'];
                if (! isset($known[$tick['step']]) || ($stands[$tick['step']]['at'] ?? -1) >= $at) {
                    continue;
                }
                CardTick::query()->updateOrInsert(
                    ['rig_id' => $rig->id, 'card' => $card->key, 'step' => $tick['step']],
                    ['is_on' => $tick['on'], 'at_ms' => $at, 'user_id' => $by->id],
                );
                $stands[$tick['step']] = ['on' => $tick['on'], 'at' => $at];
            }

            return $stands;
        }, isOnce: true);
    }

    /** @return array<string, array{on: bool, at: int}> by step; only steps that the card has */
    public static function standing(Rig $rig, Card $card): array
    {
        return CardTick::query()->where('rig_id', $rig->id)->where('card', $card->key)->whereIn('step', $card->stepKeys())->get()
            ->mapWithKeys(fn (CardTick $tick) => [$tick->step => ['on' => $tick->is_on, 'at' => $tick->at_ms]])->all();
    }
}
