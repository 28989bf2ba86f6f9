<?php

declare(strict_types=1);

namespace HiddenWire\Core\Levels;

use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** How loud each sound is at one listener, and how far under the loudest voice. */
final readonly class VoiceBalance
{
    /** @var list<array{pair: HeardPair, chain: Chain, under: float|null}> dB under the loudest voice; null for voices themselves */
    public array $rows;

    public function __construct(Hearing $hearing, Listener $listener)
    {
        $voice = null;
        $chains = [];
        foreach ($hearing->graph->rig->sources as $source) {
            $pair = $hearing->pair($source->id, $listener->id);
            $chain = $pair->wish?->want === Want::MustNot ? null : Chain::of($hearing->graph, $pair);
            if ($chain !== null) {
                $chains[] = [$pair, $chain];
                $voice = $source->kind === SourceKind::Voice ? max($voice ?? -INF, $chain->end) : $voice;
            }
        }
        $this->rows = array_map(fn (array $one) => [
            'pair' => $one[0],
            'chain' => $one[1],
            'under' => $voice === null || $one[0]->source->kind === SourceKind::Voice ? null : $voice - $one[1]->end,
        ], $chains);
    }
}
