<?php

declare(strict_types=1);

namespace HiddenWire\Core\Tones;

use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Listener;

/** What is the matter with a track whatever plays: hum, a wave that is cut off, missing samples, nothing at all. */
final readonly class TrackTroubles
{
    /** One flat top may be the wave's own form. */
    private const MANY = 3;

    /** @param  non-empty-list<ChannelReading>  $channels */
    public function __construct(private Listener $track, private array $channels)
    {
    }

    /** @return list<Difference> */
    public function all(): array
    {
        if (array_filter($this->channels, fn (ChannelReading $one) => ! $one->isSilent()) === []) {
            return [$this->told(DifferenceKind::Silent, 'Nothing at all is on it, not even noise')];
        }
        $hum = $this->hum();
        $all = $hum === null ? [] : [$hum];
        foreach ($this->channels as $i => $channel) {
            $side = count($this->channels) === 1 ? '' : $this->side($i).': ';
            if (count($channel->clipped) >= self::MANY) {
                $all[] = $this->told(DifferenceKind::Clipped, $side.'the wave is cut off '.count($channel->clipped).' times, first at '
                    .self::time($channel->clipped[0][0]));
            }
            if ($channel->holes !== []) {
                $all[] = $this->told(DifferenceKind::Hole, $side.Count::of(count($channel->holes), 'dropout').', the first at '
                    .self::time($channel->holes[0][0]).', '.number_format($channel->holes[0][1] * 1000, 0).' ms long');
            }
        }

        return $all;
    }

    /** Where there is most of it; null where there is none. */
    private function hum(): ?Difference
    {
        $most = $where = null;
        $humming = 0;
        foreach ($this->channels as $i => $channel) {
            $humming += $channel->hum === null ? 0 : 1;
            if ($channel->hum !== null && ($most?->hum === null || $channel->hum->db > $most->hum->db)) {
                [$most, $where] = [$channel, $i];
            }
        }
        $hum = $most?->hum;
        if ($most === null || $hum === null || $where === null) {
            return null;
        }
        $tone = $most->found[0]->db ?? null;
        $under = $tone === null ? null : $tone + 20 * log10(Signature::TONE) - $hum->db;
        $begin = $humming === count($this->channels) ? 'Hum' : $this->side($where).': hum';

        return $this->told(DifferenceKind::Hum, "{$begin} of {$hum->mains} Hz at ".Decibels::of(round($hum->db, 1))->text().' dBFS'
            .($under === null ? '' : ', '.number_format(abs($under), 1).' dB '.($under > 0 ? 'under' : 'over').' the loudest tone')
            .'; lines at '.implode(', ', array_keys($hum->lines)).' Hz');
    }

    private function side(int $channel): string
    {
        return count($this->channels) === 2 ? ['Left', 'Right'][$channel] ?? '' : 'Channel '.($channel + 1);
    }

    private function told(DifferenceKind $kind, string $words): Difference
    {
        return new Difference($kind, $this->track, null, $words);
    }

    private static function time(float $seconds): string
    {
        return sprintf('%d:%04.1f', intdiv((int) $seconds, 60), fmod($seconds, 60));
    }
}
