<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SocketRef;

/** A reference that leads through a unit: to a socket, a point, a route, or a device. */
final readonly class Path implements Type
{
    private const LONGEST = 260;

    /** One token of a path in the schema. */
    private const TOKEN = '[^/]+';

    /**
     * @param  'socket'|'point'|'route'|'device'  $leadsTo
     * @param  \Closure(non-empty-list<string>): object  $to
     */
    private function __construct(private string $form, private int $most, public string $leadsTo, private \Closure $to)
    {
    }

    public static function toSocket(): self
    {
        return new self('unit/socket', 2, 'socket', fn (array $tokens) => new SocketRef($tokens[0], $tokens[1]));
    }

    public static function toPoint(): self
    {
        return new self('unit/point', 2, 'point', fn (array $tokens) => new PointRef($tokens[0], $tokens[1]));
    }

    public static function toRoute(): self
    {
        return new self('unit/from>to', 2, 'route', fn (array $tokens) => new RouteRef($tokens[0], $tokens[1]));
    }

    public static function toDevice(): self
    {
        return new self(
            'unit/socket/lane, or unit/point for a virtual one',
            3,
            'device',
            fn (array $tokens) => isset($tokens[2]) ? DeviceRef::lane($tokens[0], $tokens[1], $tokens[2])
                : DeviceRef::point($tokens[0], $tokens[1]),
        );
    }

    public function read(mixed $value, Reading $in): ?object
    {
        $tokens = is_string($value) && strlen($value) <= self::LONGEST ? explode('/', $value) : [];
        $count = count($tokens);

        return $count >= 2 && $count <= $this->most && ! in_array('', $tokens, true) ? ($this->to)($tokens)
            : $in->problem("This has to be a reference of the form {$this->form}.");
    }

    public function write(mixed $value, object $of): mixed
    {
        return (string) $value;
    }

    public function what(): string
    {
        return "a reference of the form {$this->form}";
    }

    public function usual(): mixed
    {
        return null;
    }

    public function schema(Definitions $definitions): array
    {
        $pattern = match ($this->leadsTo) {
            'route' => '^'.self::TOKEN.'/'.self::TOKEN.'>'.self::TOKEN.'$',
            'device' => '^'.self::TOKEN.'/'.self::TOKEN.'(/'.self::TOKEN.')?$',
            default => '^'.self::TOKEN.'/'.self::TOKEN.'$',
        };

        return $definitions->refer("{$this->leadsTo}_reference", fn () => [
            'type' => 'string', 'maxLength' => self::LONGEST, 'pattern' => $pattern, 'description' => $this->form,
        ]);
    }
}
