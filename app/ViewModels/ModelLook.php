<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\DeviceNames;
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
        $name = fn (string $by, ?string $lane): string => str_replace(DeviceNames::PARTNER, '…', DeviceNames::of($model, $by, $lane));
        foreach ($model->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                if ($lane->device !== null) {
                    $devices[] = ['name' => $name($socket->id, $lane->id), 'direction' => $lane->device->direction->value,
                        'channels' => count($lane->channels ?? []) ?: $model->points[$lane->point]->channels];
                }
            }
        }
        foreach ($model->points as $point) {
            if ($point->device !== null) {
                $devices[] = ['name' => $name($point->id, null), 'direction' => $point->device->direction->value,
                    'channels' => $point->channels];
            }
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
