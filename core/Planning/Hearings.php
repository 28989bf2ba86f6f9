<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SignalGraph;

/** What is heard of a rig in all of its situations, each heard when it is asked for. */
final class Hearings
{
    private readonly GraphBuilder $builder;

    /** @var array<array-key, SignalGraph> by situation */
    private array $graphs = [];

    /**
     * @param  array<array-key, Hearing>  $known  hearings that are known, by situation
     * @param  self|null  $before  of a rig that differs little: what nothing has changed about is taken over
     */
    public function __construct(public readonly Rig $rig, private array $known = [], private readonly ?self $before = null)
    {
        $this->builder = new GraphBuilder($rig);
    }

    public function in(string $situation): Hearing
    {
        return $this->known[$situation] ??= new Hearing($this->graph($situation), null, $this->beforeIn($situation));
    }

    /** One source, where more is not needed. */
    public function ofSource(string $situation, string $source): Hearing
    {
        return $this->known[$situation] ?? new Hearing($this->graph($situation), [$source], $this->beforeIn($situation));
    }

    /** What is heard in, where nothing need be heard. */
    public function graph(string $situation): SignalGraph
    {
        return $this->graphs[$situation] ??= $this->builder->build(
            $this->rig->situations[$situation],
            $this->beforeIn($situation)?->graph(),
        );
    }

    private function beforeIn(string $situation): ?Hearing
    {
        return isset($this->before->rig->situations[$situation]) ? $this->before->in($situation) : null;
    }

    public function areAsWished(): bool
    {
        foreach ($this->cells() as $pair) {
            if ($pair->verdict->isAtOdds()) {
                return false;
            }
        }

        return true;
    }

    /**
     * The cells that are not what they were before, by their key: as they were, and as they are. The rig has to have the situations,
     * sources and listeners that it had.
     *
     * @return \Generator<string, array{HeardPair, HeardPair}>
     */
    public function differing(): \Generator
    {
        foreach (array_keys($this->rig->situations) as $situation) {
            $before = $this->beforeIn((string) $situation);
            foreach ($before === null ? [] : $this->in((string) $situation)->differing($before) as [$was, $is]) {
                yield Cell::of($is, (string) $situation)->key() => [$was, $is];
            }
        }
    }

    /** @return \Generator<string, HeardPair> every cell by its key */
    public function cells(): \Generator
    {
        foreach (array_keys($this->rig->situations) as $situation) {
            foreach ($this->in((string) $situation)->all() as $pair) {
                yield Cell::of($pair, (string) $situation)->key() => $pair;
            }
        }
    }
}
