<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * How a computer's system calls a device: by its socket and what that belongs to ("Green socket, built-in sound"; "Programme, USB mixer";
 * "Picture 1, capture card"). The only one of its direction has its model's name. A model that has a text of its own keeps it.
 */
final class DeviceNames
{
    /** Stands for the model at the other end of a picture lead. */
    public const PARTNER = '{partner}';

    private const BUILT_IN = 'built-in sound';

    /**
     * @param  string  $givenBy  the socket, or the point of a program or a system
     * @param  string|null  $lane  the socket's lane; null for a point
     * @return string with {@see PARTNER} where it hangs on what the socket reaches; empty where no device is given
     */
    public static function of(EquipmentModel $model, string $givenBy, ?string $lane): string
    {
        $offer = $model->offer($givenBy, $lane);
        if ($offer === null || $offer->systemName !== null) {
            return $offer->systemName ?? '';
        }
        $point = $model->points[$lane === null ? $givenBy : $model->sockets[$givenBy]->lanes[$lane]->point];
        if ($model->family->isHost()) {
            return $lane === null ? "{$point->unnamed()->label}, ".self::BUILT_IN : self::ofSocket($model->sockets[$givenBy], $offer);
        }
        if (count(array_filter($model->deviceOffers(), fn (DeviceOffer $one) => $one->direction === $offer->direction)) === 1) {
            return $model->name;
        }
        $channels = $lane === null ? null : $model->sockets[$givenBy]->lanes[$lane]->channels;
        $of = $channels === null ? '' : ' '.self::numbers($channels);

        return "{$point->unnamed()->label}{$of}, ".self::inside($model->name);
    }

    /** Whether a device is a picture output's: it is listed only while a lead joins it to something that takes sound. */
    public static function isOfPartner(EquipmentModel $model, string $socket, string $lane): bool
    {
        return str_contains(self::of($model, $socket, $lane), self::PARTNER);
    }

    /** A name of a model inside a sentence: "small mixer", but "USB mixer". */
    public static function inside(string $name): string
    {
        return preg_match('/^\p{Lu}\p{Ll}/u', $name) === 1 ? mb_strtolower(mb_substr($name, 0, 1)).mb_substr($name, 1) : $name;
    }

    private static function ofSocket(Socket $socket, DeviceOffer $offer): string
    {
        if ($offer->direction === Direction::Playback && $socket->connector->isPicture()) {
            return trim('Picture '.preg_replace('/\D/', '', $socket->label)).', '.self::PARTNER;
        }
        // "Line out · green": a computer's own sockets are distinguished by the colour of their rings.
        $colour = explode(' · ', $socket->label, 2)[1] ?? null;

        return ($colour === null ? $socket->label : ucfirst($colour).' socket').', '.self::BUILT_IN;
    }

    /** @param  list<int>  $channels  "5" or "1-2" where they are neighbours, else "1+4" */
    private static function numbers(array $channels): string
    {
        $isRow = count($channels) > 1 && $channels === range($channels[0], $channels[count($channels) - 1]);

        return $isRow ? $channels[0].'-'.$channels[count($channels) - 1] : implode('+', $channels);
    }
}
