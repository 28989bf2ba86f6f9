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

    /**
     * Which ends of a lead that is out in a situation hang free: those whose socket another lead uses then. The other end stays plugged.
     *
     * @return list<SocketRef> none where nothing takes its place, and so nobody knows
     */
    public static function freeEnds(RigParts $parts, Situation $situation, Cable $cable): array
    {
        $in = array_flip(array_diff(self::beside($parts, $cable), $situation->pulled));
        $ends = [];
        foreach ($parts->cables as $other) {
            if (isset($in[$other->id])) {
                foreach ([$cable->from, $cable->to] as $end) {
                    if (in_array((string) $end, [(string) $other->from, (string) $other->to], true)) {
                        $ends[(string) $end] = $end;
                    }
                }
            }
        }

        return array_values($ends);
    }
}
