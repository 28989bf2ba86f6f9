<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Sheets\ModelReach;

/** A model as it is written: drawn, and what it would do. */
final readonly class ModelLook
{
    public ModelDrawing $drawing;

    /** Null where it can't be heard by itself, or has nothing to hear. */
    public ?ModelReach $reach;

    /** @var list<array{name: string, direction: string, channels: int}> the devices that a computer would list for it */
    public array $devices;

    public function __construct(EquipmentModel $model)
    {
        $this->drawing = new ModelDrawing($model);
        $this->devices = self::devices($model);
        try {
            $reach = new ModelReach($model);
        } catch (InvalidRig) {
            $reach = null;
        }
        $this->reach = $reach === null || $reach->inputs === [] || $reach->outputs === [] ? null : $reach;
    }

    /** @return list<array{name: string, direction: string, channels: int}> */
    private static function devices(EquipmentModel $model): array
    {
        $devices = [];
        $add = function (string $point, ?array $channels, ?DeviceOffer $offer, string $givenBy, ?string $lane) use (&$devices, $model): void {
            if ($offer !== null) {
                $devices[] = ['name' => str_replace(DeviceNames::PARTNER, '…', DeviceNames::of($model, $givenBy, $lane)),
                    'direction' => $offer->direction->value, 'channels' => count($channels ?? []) ?: $model->points[$point]->channels];
            }
        };
        foreach ($model->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                $add($lane->point, $lane->channels, $lane->device, $socket->id, $lane->id);
            }
        }
        foreach ($model->points as $point) {
            $add($point->id, null, $point->device, $point->id, null);
        }

        return $devices;
    }

    /** "−6.0", "·" for nothing. */
    public function level(string $output, string $input): string
    {
        $db = $this->reach?->levels[$output][$input] ?? null;

        return $db === null ? '·' : strtr(number_format($db, 1), ['-' => '−']);
    }
}
