<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

/** A hearing in short: of each pair its verdict, and how loud it is heard. */
final readonly class HearingNote
{
    /** A change of level below this is not worth a word: about what a careful ear notices of a whole mix. */
    private const NOTICED_DB = 0.5;

    /**
     * @param  array<string, array<string, array{string, float|null}>>  $pairs  the verdict and the level in dB (null where it is not
     *     heard), by source, by listener
     */
    public function __construct(public array $pairs)
    {
    }

    /** This note, with the sources that another one has as they are there. */
    public function under(self $later): self
    {
        return new self($later->pairs + $this->pairs);
    }

    /** @return list<HeardPair> what another hearing has that is not as wished and was, or was not there */
    public function newAtOdds(Hearing $after): array
    {
        $new = [];
        foreach ($after->all() as $is) {
            $was = $this->pairs[$is->source->id][$is->listener->id][0] ?? null;
            if ($is->verdict->isAtOdds() && ($was === null || ! Verdict::from($was)->isAtOdds())) {
                $new[] = $is;
            }
        }

        return $new;
    }

    /**
     * For whom what is heard changes up to another hearing, in words: "no longer heard at Viewers: Music".
     *
     * @return list<string>
     */
    public function upTo(Hearing $after): array
    {
        $groups = [];
        foreach ($after->all() as $is) {
            if (! isset($this->pairs[$is->source->id][$is->listener->id])) {
                continue;
            }
            [$verdict, $level] = $this->pairs[$is->source->id][$is->listener->id];
            $now = $is->level()?->value();
            $listener = $is->listener->name;
            $isMended = Verdict::from($verdict)->isAtOdds() && ! $is->verdict->isAtOdds();
            if (($level === null) !== ($now === null) && ! $isMended) {
                $groups[($now === null ? 'no longer heard at ' : 'now heard at ').$listener][] = $is->source->name;
            } elseif ($verdict !== $is->verdict->value) {
                $groups[$is->verdict->isAtOdds() ? "{$is->verdict->value} now at {$listener}"
                    : "now as wished at {$listener}"][] = $is->source->name;
            } elseif ($now !== null && abs($now - $level) >= self::NOTICED_DB) {
                $groups[($now > $level ? 'louder' : 'quieter')." at {$listener}"][] = sprintf(
                    '%s by %.1f dB',
                    $is->source->name,
                    abs($now - $level),
                );
            }
        }

        return array_map(fn (string $what) => "{$what}: ".implode(', ', $groups[$what]), array_keys($groups));
    }
}
