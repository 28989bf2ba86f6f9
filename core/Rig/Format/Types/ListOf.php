<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Types;

use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\With;

/** A list of things of one type. */
final readonly class ListOf implements Type
{
    use With;

    private const MOST = 20_000;

    /**
     * @param  (\Closure(mixed): string)|null  $key  by which what is read is kept; null keeps positions
     * @param  string  $twice  said where a thing is there twice, with `%s` for it; empty where it may be
     */
    private function __construct(
        public Type $item,
        public int $most = self::MOST,
        private int $least = 0,
        private ?\Closure $key = null,
        private string $twice = '',
    ) {
    }

    public static function of(Type $item, ?int $most = null): self
    {
        return new self($item, $most ?? self::MOST);
    }

    /** Each once. */
    public function once(string $twice = 'This is named twice.'): self
    {
        return $this->with(twice: $twice);
    }

    /**
     * Kept by id, or by another key; each once.
     *
     * @param  (\Closure(mixed): string)|null  $key
     */
    public function keyed(?\Closure $key = null): self
    {
        return $this->with(
            key: $key ?? fn (mixed $thing): string => get_object_vars($thing)['id'],
            twice: '"%s" is there twice; it has to be unique in this list.',
        );
    }

    /** By a rule of the thing that has it: nothing here complains of fewer. */
    public function atLeast(int $least): self
    {
        return $this->with(least: $least);
    }

    /** @return array<array-key, mixed> what could be read, by position, or by key */
    public function read(mixed $value, Reading $in): array
    {
        if (! is_array($value)) {
            $in->problem('This has to be a list, […].');

            return [];
        }
        if (count($value) > $this->most) {
            $in->problem("This list has {$this->most} entries at most.");

            return [];
        }
        $list = $in->here();
        $read = [];
        $in->enter('');
        foreach (array_values($value) as $i => $data) {
            $before = $in->count();
            $in->to($i);
            $one = $this->item->read($data, $in);
            if ($in->count() !== $before) {
                if ($data instanceof \stdClass && is_string($data->id ?? null)) {
                    $in->unreadable($list, $data->id);
                }
            } elseif ($this->key !== null) {
                $key = ($this->key)($one);
                if (isset($read[$key])) {
                    $in->problem(sprintf($this->twice, $key));
                }
                $read[$key] = $one;
            } else {
                if ($this->twice !== '' && in_array($one, $read, ! is_object($one))) {
                    $in->problem(is_scalar($one) ? sprintf($this->twice, $one) : $this->twice);
                }
                $read[$i] = $one;
            }
        }
        $in->leave();

        return $read;
    }

    public function write(mixed $value, object $of): mixed
    {
        return array_values(array_map(fn (mixed $one) => $this->item->write($one, $of), $value));
    }

    public function what(): string
    {
        return 'a list';
    }

    public function usual(): mixed
    {
        return [];
    }

    public function schema(Definitions $definitions): array
    {
        return [
            'type' => 'array', 'items' => $this->item->schema($definitions), 'maxItems' => $this->most,
            ...($this->least === 0 ? [] : ['minItems' => $this->least]),
            ...($this->twice === '' || $this->key !== null ? [] : ['uniqueItems' => true]),
        ];
    }
}
