<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Socket;

/** Finds equipment models by name, family, use and sockets; typing mistakes are forgiven. */
final readonly class ModelSearch
{
    /** @param  array<string, EquipmentModel>  $models  by id */
    public function __construct(private array $models)
    {
    }

    /**
     * Every word has to be in it. Fewest mistakes first, then what begins with the text, then what has the words in its name.
     *
     * @return array<string, EquipmentModel> by id
     */
    public function find(string $text, ?Family $family = null, ?Connector $connector = null): array
    {
        $words = Likeness::words($text);
        $ranked = [];
        foreach ($this->models as $id => $model) {
            $connectors = array_map(fn (Socket $socket) => $socket->connector, array_values($model->sockets));
            $isAsked = ($family === null || $model->family === $family) && ($connector === null || in_array($connector, $connectors, true));
            $rank = $isAsked ? $this->rank($model, $words) : null;
            if ($rank !== null) {
                $ranked[$id] = $rank;
            }
        }
        asort($ranked);

        return array_map(fn (string|int $id) => $this->models[$id], array_combine(array_keys($ranked), array_keys($ranked)));
    }

    /** The one of a name, or the only one that answers to it; null where there is none or several. */
    public function named(string $name): ?EquipmentModel
    {
        $wanted = mb_strtolower(trim($name));
        $isIt = fn (EquipmentModel $model): bool => in_array($wanted, [mb_strtolower($model->name), $model->id], true);
        $same = array_filter($this->models, $isIt);
        $found = $same === [] ? $this->find($name) : $same;

        return $wanted !== '' && count($found) === 1 ? reset($found) : null;
    }

    /**
     * @param  list<string>  $words
     * @return array{int, int, int}|null null where a word is not in it
     */
    private function rank(EquipmentModel $model, array $words): ?array
    {
        $name = mb_strtolower($model->name);
        $sockets = implode(' ', array_map(fn (Socket $socket) => "{$socket->label} {$socket->connector->words()}", $model->sockets));
        $all = mb_strtolower("{$model->id} {$model->name} {$model->summary} {$model->family->value} {$sockets}");
        [$mistakes, $elsewhere] = [0, 0];
        foreach ($words as $word) {
            $of = Likeness::mistakes($word, $all);
            if ($of === null) {
                return null;
            }
            $mistakes += $of;
            $elsewhere += Likeness::mistakes($word, $name) === $of ? 0 : 1;
        }

        return [$mistakes, $words !== [] && str_starts_with($name, implode(' ', $words)) ? 0 : 1, $elsewhere];
    }
}
