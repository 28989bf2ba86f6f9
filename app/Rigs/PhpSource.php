<?php

declare(strict_types=1);

namespace App\Rigs;

/**
 * Values as PHP that makes them again: objects whose constructor takes all that they hold, enumerations, lists, maps and plain values.
 * Compiled once and kept by opcache, it is several times quicker than reading them back from anything.
 */
final class PhpSource
{
    /** @var array<class-string, string> names of functions that make what only its own class may make, by class */
    private array $makers = [];

    /**
     * @return string statements of a function; the last one returns the value
     *
     * @throws \LogicException for an object that holds more than its constructor takes
     */
    public static function of(mixed $value): string
    {
        $self = new self;
        $said = $self->say($value);
        $makers = '';
        foreach ($self->makers as $class => $name) {
            $makers .= "{$name} = \\Closure::bind(static fn (...\$all) => new \\{$class}(...\$all), null, \\{$class}::class);\n";
        }

        return "{$makers}return {$said};\n";
    }

    private function say(mixed $value): string
    {
        if (is_array($value)) {
            $isList = array_is_list($value);
            $parts = [];
            foreach ($value as $key => $one) {
                $parts[] = ($isList ? '' : var_export($key, true).' => ').$this->say($one);
            }

            return '['.implode(', ', $parts).']';
        }

        return match (true) {
            $value instanceof \UnitEnum => '\\'.$value::class."::{$value->name}",
            is_object($value) => $this->object($value),
            default => var_export($value, true),
        };
    }

    /** @throws \LogicException where it holds more than its constructor takes */
    private function object(object $value): string
    {
        $class = new \ReflectionClass($value);
        $constructor = $class->getConstructor();
        $held = array_filter($class->getProperties(), fn (\ReflectionProperty $one) => ! $one->isStatic());
        $taken = $constructor?->getParameters() ?? [];
        $others = array_filter($taken, fn (\ReflectionParameter $one) => ! $one->isPromoted());
        if ($class->isInternal() || $others !== [] || count($held) !== count($taken)) {
            throw new \LogicException("{$class->name} holds more than its constructor takes.");
        }
        $said = [];
        foreach ($taken as $parameter) {
            $one = $class->getProperty($parameter->getName())->getValue($value);
            if (! $parameter->isDefaultValueAvailable() || $parameter->getDefaultValue() !== $one) {
                $said[] = "{$parameter->getName()}: ".$this->say($one);
            }
        }
        $isOpen = $constructor === null || $constructor->isPublic();
        $maker = $isOpen ? "new \\{$class->name}" : $this->makers[$class->name] ??= '$make'.count($this->makers);

        return "{$maker}(".implode(', ', $said).')';
    }
}
