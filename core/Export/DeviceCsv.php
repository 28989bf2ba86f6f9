<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Rig\Role;

/** The device lists of all computers: one row a device. */
final class DeviceCsv implements Exporter
{
    public const COLUMNS = [
        'Computer', 'System name', 'Name given', 'Direction', 'Channels', 'Default for', 'Given by', 'Rate (Hz)', 'Bits', 'Driver mode',
        'Connected', 'Enabled',
    ];

    public function key(): string
    {
        return 'devices-csv';
    }

    public function label(): string
    {
        return 'Device lists (CSV)';
    }

    public function extension(): string
    {
        return 'csv';
    }

    public function mediaType(): string
    {
        return 'text/csv; charset=utf-8';
    }

    public function write(BookInput $of): string
    {
        return Csv::of(self::COLUMNS, self::rows($of));
    }

    /** @return list<list<string|int|float|null>> */
    public static function rows(BookInput $of): array
    {
        $rows = [];
        foreach ($of->graph()->devices->all() as $computer => $devices) {
            foreach ($devices as $device) {
                $rows[] = [$of->rig->units[$computer]->name, ...self::row($device, $of)];
            }
        }

        return $rows;
    }

    /** @return list<string|int|null> */
    private static function row(Device $device, BookInput $of): array
    {
        $set = $device->settings;

        return [
            $device->systemName,
            $set->name ?? '',
            $device->direction->value,
            $device->channels,
            implode(' ', array_map(fn (Role $role) => $role->value, $device->roles)),
            $of->rig->units[$device->ref->unit]->name,
            $set?->rateHz,
            $set?->bits,
            $set?->driverMode->value ?? '',
            $device->isConnected ? 'yes' : 'no',
            $device->isEnabled() ? 'yes' : 'no',
        ];
    }
}
