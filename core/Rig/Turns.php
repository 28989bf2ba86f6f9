<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Sockets that several leads use in turn: in no situation are two of them in at once. */
final class Turns
{
    /** More leads than this no socket has in turn. */
    public const MOST = 8;

    /** @var list<array<string, true>> cables that are out, by situation */
    private array $out;

    /** @param  iterable<Situation>  $situations */
    public function __construct(iterable $situations)
    {
        $out = [];
        foreach ($situations as $situation) {
            $out[] = array_fill_keys($situation->pulled, true);
        }
        $this->out = $out;
    }

    /** Whether two cables are never in at once. */
    public function take(string $one, string $other): bool
    {
        foreach ($this->out as $out) {
            if (! isset($out[$one]) && ! isset($out[$other])) {
                return false;
            }
        }

        return $this->out !== [];
    }

    /** @return list<string> ids of other cables that share a socket with one, where a socket takes one lead only */
    public static function beside(RigParts $parts, Cable $cable): array
    {
        $ends = [];
        foreach ([$cable->from, $cable->to] as $end) {
            foreach ($parts->units as $unit) {
                $socket = $unit->id === $end->unit ? $parts->models[$unit->model]->sockets[$end->socket] ?? null : null;
                if ($socket !== null && ! $socket->connector->takesSeveral()) {
                    $ends[] = (string) $end;
                }
            }
        }

        return array_values(array_map(fn (Cable $other) => $other->id, array_filter(
            $parts->cables,
            fn (Cable $other) => $other->id !== $cable->id && array_intersect([(string) $other->from, (string) $other->to], $ends) !== [],
        )));
    }
}
