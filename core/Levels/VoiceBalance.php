<?php

declare(strict_types=1);

namespace HiddenWire\Core\Levels;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\Ducking;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\Lowering;

/** How loud each sound is at one listener, and how far under the loudest voice while that speaks. */
final readonly class VoiceBalance
{
    /**
     * @var list<array{pair: HeardPair, chain: Chain, under: float|null, lowered: float}> dB under the loudest voice, null for voices
     *     themselves; and of that, what a ducker takes while the voice speaks
     */
    public array $rows;

    public function __construct(Hearing $hearing, Listener $listener)
    {
        $voice = $loudest = null;
        $ducking = new Ducking($hearing->graph());
        $chains = [];
        foreach ($hearing->rig->sources as $source) {
            $pair = $hearing->pair($source->id, $listener->id);
            $chain = $pair->wish?->want === Want::MustNot ? null : Chain::of($hearing->graph(), $pair);
            if ($chain !== null) {
                $chains[] = [$pair, $chain];
                if ($source->kind === SourceKind::Voice && $chain->end > ($voice ?? -INF)) {
                    [$voice, $loudest] = [$chain->end, $source];
                }
            }
        }
        $lowered = fn (HeardPair $pair): float => $loudest === null ? 0.0 : array_sum(array_map(
            fn (Lowering $one) => $one->isBy($loudest) ? $one->lowers->value() : 0.0,
            $ducking->of($pair),
        ));
        $this->rows = array_map(fn (array $one) => [
            'pair' => $one[0],
            'chain' => $one[1],
            'under' => $voice === null || $one[0]->source->kind === SourceKind::Voice ? null : $voice - $one[1]->end + $lowered($one[0]),
            'lowered' => $lowered($one[0]),
        ], $chains);
    }
}
