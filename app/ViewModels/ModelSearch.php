<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Words\AlsoCalled;
use App\Words\WordSearch;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Socket;

/** Finds equipment models by name, by what they are also called, by family, use and sockets; typing mistakes are forgiven. */
final readonly class ModelSearch
{
    /** @param  array<string, EquipmentModel>  $models  by id */
    public function __construct(private array $models)
    {
    }

    /**
     * Every word has to be in it, or in what it is also called; the best first, without a word all as they stand. Where nothing has all of
     * them, what comes nearest.
     *
     * @return array<string, EquipmentModel> by id
     */
    public function find(string $text, ?Family $family = null, ?Connector $connector = null): array
    {
        $search = new WordSearch($text);
        $ranked = $near = [];
        foreach ($this->models as $id => $model) {
            $connectors = array_map(fn (Socket $socket) => $socket->connector, array_values($model->sockets));
            $isAsked = ($family === null || $model->family === $family) && ($connector === null || in_array($connector, $connectors, true));
            if (! $isAsked) {
                continue;
            }
            $also = AlsoCalled::model($model);
            $rank = $search->isEmpty() ? 0 : $search->rank($model->name, $also, $this->about($model));
            if ($rank !== null) {
                $ranked[$id] = $rank;
            } elseif ($search->count($model->name, $also) > 0) {
                $near[$id] = -$search->count($model->name, $also);
            }
        }
        $found = $ranked === [] ? $near : $ranked;
        // Of two that answer alike, the one with the shorter name has fewer other words.
        $weights = [];
        foreach ($found as $id => $rank) {
            $weights[$id] = $search->isEmpty() ? [0, 0] : [$rank, mb_strlen($this->models[$id]->name)];
        }
        asort($weights);

        return array_map(fn (string|int $id) => $this->models[$id], array_combine(array_keys($weights), array_keys($weights)));
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

    private function about(EquipmentModel $model): string
    {
        $sockets = implode(' ', array_map(fn (Socket $socket) => "{$socket->label} {$socket->connector->words()}", $model->sockets));

        return "{$model->id} {$model->summary} {$sockets}";
    }
}
