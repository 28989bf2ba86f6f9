<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\User;
use App\Words\AlsoCalled;
use App\Words\Likeness;
use App\Words\WordSearch;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * What answers to a few words in all rigs that somebody may see: rigs, units with their serial and inventory numbers, models, cables,
 * sounds and listeners. Every word has to be in it; small and capital letters are alike.
 */
final class Everywhere
{
    /** Of each kind so many are shown. */
    public const MOST = 40;

    private Builder $seen;

    /** @var list<string> */
    private array $words;

    public function __construct(User $user, private string $text)
    {
        $this->seen = $user->visibleRigs()->toBase();
        $this->words = Likeness::words($text);
    }

    /**
     * @return array<string, list<\stdClass>> by kind, in the order in which they are shown; each has `rig`, `rig_name`, `key`, `name` and
     *     what its kind has besides
     */
    public function found(): array
    {
        if ($this->words === []) {
            return [];
        }
        $units = fn (): Builder => $this->of('units', ['units.key', 'units.name', 'units.serial', 'units.inventory'])
            ->join('equipment_models as m', fn ($on) => $on->on('m.rig_id', 'units.rig_id')->on('m.key', 'units.model'))
            ->addSelect('m.name as model');

        return [
            'rigs' => $this->rows($this->of('rigs', ['rigs.name', 'rigs.summary']), ['rigs.name', 'rigs.summary']),
            'units' => $this->rows($units(), ['units.name', 'units.serial', 'units.inventory']),
            'models' => $this->models(),
            'cables' => $this->rows($this->of('cables', ['cables.key', 'cables.label as name'])
                ->join('units as f', fn ($on) => $on->on('f.rig_id', 'cables.rig_id')->on('f.key', 'cables.from_unit'))
                ->join('units as t', fn ($on) => $on->on('t.rig_id', 'cables.rig_id')->on('t.key', 'cables.to_unit'))
                ->addSelect('f.name as from_name', 't.name as to_name'), ['cables.label']),
            'sounds' => $this->rows($this->of('sources', ['sources.key', 'sources.name']), ['sources.name']),
            'listeners' => $this->rows($this->of('listeners', ['listeners.key', 'listeners.name']), ['listeners.name']),
        ];
    }

    /**
     * Models that are called so, or also called so, with how many units of them each rig has: where a model is used.
     *
     * @return list<\stdClass>
     */
    private function models(): array
    {
        if (preg_match('/[\p{L}\d]/u', $this->text) !== 1) {
            return [];
        }
        $search = new WordSearch($this->text);
        $catalogue = CatalogueFiles::catalogue()->models;
        $known = DB::query()->fromSub($this->of('equipment_models', ['equipment_models.key', 'equipment_models.name']), 'm')
            ->select('key', 'name')->distinct()->get();
        $wanted = $known->filter(fn (\stdClass $one) => $search->rank($one->name, isset($catalogue[$one->key])
            ? AlsoCalled::model($catalogue[$one->key]) : []) !== null);
        if ($wanted->isEmpty()) {
            return [];
        }

        return array_values($this->of('units', [])
            ->join('equipment_models as m', fn ($on) => $on->on('m.rig_id', 'units.rig_id')->on('m.key', 'units.model'))
            ->where(fn (Builder $any) => $wanted->each(fn (\stdClass $one) => $any
                ->orWhere(fn (Builder $both) => $both->where('m.key', $one->key)->where('m.name', $one->name))))
            ->groupBy('rigs.id', 'rigs.name', 'rigs.updated_at', 'm.name')
            ->selectRaw('m.name as name, count(*) as count, min(units.key) as `key`')->orderBy('m.name')->latest('rigs.updated_at')
            ->limit(self::MOST)->get()->all());
    }

    /**
     * Rows of rigs that may be seen.
     *
     * @param  list<string>  $columns
     */
    private function of(string $table, array $columns): Builder
    {
        $query = DB::table('rigs')->joinSub(DB::query()->fromSub($this->seen, 's')->select('id'), 'seen', 'seen.id', '=', 'rigs.id')
            ->select(['rigs.id as rig', 'rigs.name as rig_name', ...$columns]);

        return $table === 'rigs' ? $query : $query->join($table, "{$table}.rig_id", '=', 'rigs.id');
    }

    /**
     * Those that have every word, what is called exactly so first, then what begins so, then by when their rig was changed.
     *
     * @param  list<string>  $in  columns in which the words may stand
     * @return list<\stdClass>
     */
    private function rows(Builder $query, array $in): array
    {
        $texts = 'lower(concat_ws(\' \', '.implode(', ', array_map(fn (string $column) => "convert({$column} using utf8mb4)", $in)).'))';
        foreach ($this->words as $word) {
            $query->whereRaw("{$texts} like ?", ['%'.addcslashes($word, '%_\\').'%']);
        }
        $whole = implode(' ', $this->words);
        $name = "lower(convert({$in[0]} using utf8mb4))";

        return array_values($query->orderByRaw("{$name} = ? desc, {$name} like ? desc", [$whole, addcslashes($whole, '%_\\').'%'])
            ->latest('rigs.updated_at')->latest('rigs.id')->limit(self::MOST)->get()->all());
    }
}
