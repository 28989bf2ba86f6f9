<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Rig\Role;

/**
 * A stand-in for a computer of the rig: it lists its devices as a system's own tools write them, as planned or with what has gone wrong
 * after an update.
 *
 * @phpstan-type Row array{name: string, direction: Direction, roles: list<Role>, rate: int|null, enabled: bool}
 */
final readonly class SimulatedComputer
{
    private const USUAL_HZ = 48_000;

    private const OTHER_HZ = 44_100;

    /** @param  array<string, Device>  $devices  as planned, by reference */
    public function __construct(private array $devices)
    {
    }

    /**
     * @param  list<Disturbance>  $disturbances  each once, at a device that the seed chooses
     * @return string a table with headings, comma-separated; rates as far as they are planned
     */
    public function listing(array $disturbances = [], int $seed = 1): string
    {
        $rows = [];
        foreach ($this->devices as $device) {
            if ($device->isConnected && $device->isUsable()) {
                $rows[] = ['name' => $device->name(), 'direction' => $device->direction, 'roles' => $device->roles,
                    'rate' => $device->settings?->rateHz, 'enabled' => true];
            }
        }
        foreach ($disturbances as $i => $disturbance) {
            $rows = $this->disturbed($rows, $disturbance, $seed + $i);
        }
        $lines = ['name,direction,default,rate,enabled'];
        foreach ($rows as $row) {
            $lines[] = implode(',', [
                '"'.str_replace('"', '""', $row['name']).'"', $row['direction']->value,
                implode(' and ', array_map(fn (Role $role) => $role->value, $row['roles'])),
                $row['rate'] ?? '', $row['enabled'] ? 'yes' : 'no',
            ]);
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * @param  list<Row>  $rows
     * @return list<Row>
     */
    private function disturbed(array $rows, Disturbance $disturbance, int $seed): array
    {
        $fit = array_keys(array_filter($rows, fn (array $row) => $disturbance !== Disturbance::OtherRate || $row['rate'] !== null));
        $at = $fit === [] ? count($rows) : $fit[$seed % count($fit)];
        $row = $rows[$at] ?? null;
        if ($row === null) {
            return $rows;
        }
        $other = $row['rate'] === self::OTHER_HZ ? self::USUAL_HZ : self::OTHER_HZ;
        $unexpected = ['name' => 'Screen loudspeakers', 'direction' => Direction::Playback, 'roles' => [], 'rate' => self::USUAL_HZ,
            'enabled' => true];
        array_splice($rows, $at, 1, match ($disturbance) {
            Disturbance::Missing => [],
            Disturbance::Renamed => [[...$row, 'name' => "2- {$row['name']}"]],
            Disturbance::OtherRate => [[...$row, 'rate' => $other]],
            Disturbance::SwitchedOff => [[...$row, 'enabled' => false]],
            Disturbance::Unexpected => [$row, $unexpected],
            Disturbance::OtherDefault => [$row],
        });

        return $disturbance === Disturbance::OtherDefault ? self::otherDefault($rows) : $rows;
    }

    /**
     * @param  list<Row>  $rows
     * @return list<Row> a default has moved to another
     */
    private static function otherDefault(array $rows): array
    {
        foreach ($rows as $i => $row) {
            foreach ($rows as $j => $other) {
                if ($i !== $j && $row['roles'] !== [] && $row['direction'] === $other['direction'] && $other['roles'] === []) {
                    array_splice($rows, $j, 1, [[...$other, 'roles' => $row['roles']]]);
                    array_splice($rows, $i, 1, [[...$row, 'roles' => []]]);

                    return $rows;
                }
            }
        }

        return $rows;
    }
}
