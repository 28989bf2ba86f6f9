<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\User;
use App\Words\AlsoCalled;
use App\Words\Likeness;
use App\Words\WordSearch;
use Illuminate\Database\Query\Builder;
use Illuminate\Pagination\Paginator;
use Illuminate\Support\Facades\DB;

/**
 * What answers to a few words in all rigs that somebody may see: rigs, units with their serial and inventory numbers, models, cables,
 * sounds and listeners. Every word has to be in it; small and capital letters are alike.
 */
final class Everywhere
{
    public const KINDS = ['rigs', 'units', 'models', 'cables', 'sounds', 'listeners'];

    /** Of each kind so many are shown at a time. */
    private const PER_PAGE = 50;

    private Builder $seen;

    /** @var list<string> */
    private array $words;

    public function __construct(User $user, private string $text)
    {
        $this->seen = $user->visibleRigs()->toBase();
        $this->words = Likeness::words($text);
    }

    /**
     * @param  string|null  $kind  only that; null for all
     * @return array<string, Paginator<int, \stdClass>> by kind, in the order in which they are shown, without those of which there is
     *     nothing; each has `rig`, `rig_name`, `key`, `name` and what else its kind has
     */
    public function found(?string $kind = null, int $page = 1): array
    {
        $found = [];
        foreach ($this->words === [] ? [] : ($kind === null ? self::KINDS : [$kind]) as $one) {
            $query = $this->ofKind($one);
            if ($query !== null) {
                // One more than is shown says whether there is a next page.
                $rows = $query->offset(($page - 1) * self::PER_PAGE)->limit(self::PER_PAGE + 1)->get();
                $found[$one] = new Paginator($rows, self::PER_PAGE, $page);
            }
        }

        return array_filter($found, fn (Paginator $page) => $page->count() > 0);
    }

    private function ofKind(string $kind): ?Builder
    {
        return match ($kind) {
            'rigs' => $this->matching($this->of('rigs', ['rigs.name', 'rigs.summary']), ['rigs.name', 'rigs.summary']),
            'units' => $this->matching($this->of('units', ['units.key', 'units.name', 'units.serial', 'units.inventory'])
                ->join('equipment_models as m', fn ($on) => $on->on('m.rig_id', 'units.rig_id')->on('m.key', 'units.model'))
                ->addSelect('m.name as model'), ['units.name', 'units.serial', 'units.inventory']),
            'models' => $this->models(),
            'cables' => $this->matching($this->of('cables', ['cables.key', 'cables.label as name'])
                ->join('units as f', fn ($on) => $on->on('f.rig_id', 'cables.rig_id')->on('f.key', 'cables.from_unit'))
                ->join('units as t', fn ($on) => $on->on('t.rig_id', 'cables.rig_id')->on('t.key', 'cables.to_unit'))
                ->addSelect('f.name as from_name', 't.name as to_name'), ['cables.label']),
            'sounds' => $this->matching($this->of('sources', ['sources.key', 'sources.name']), ['sources.name']),
            'listeners' => $this->matching($this->of('listeners', ['listeners.key', 'listeners.name']), ['listeners.name']),
            default => null,
        };
    }

    /**
     * Models that are called so, or also called so, with how many units of them each rig has: where a model is used. Null where no model is
     * called so.
     */
    private function models(): ?Builder
    {
        if (preg_match('/[\p{L}\d]/u', $this->text) !== 1) {
            return null;
        }
        $search = new WordSearch($this->text);
        $catalogue = CatalogueFiles::catalogue()->models;
        $known = DB::query()->fromSub($this->of('equipment_models', ['equipment_models.key', 'equipment_models.name']), 'm')
            ->select('key', 'name')->distinct()->get();
        $wanted = $known->filter(fn (\stdClass $one) => $search->rank($one->name, isset($catalogue[$one->key])
            ? AlsoCalled::model($catalogue[$one->key]) : []) !== null);
        if ($wanted->isEmpty()) {
            return null;
        }

        return $this->of('units', [])
            ->join('equipment_models as m', fn ($on) => $on->on('m.rig_id', 'units.rig_id')->on('m.key', 'units.model'))
            ->where(fn (Builder $any) => $wanted->each(fn (\stdClass $one) => $any
                ->orWhere(fn (Builder $both) => $both->where('m.key', $one->key)->where('m.name', $one->name))))
            ->groupBy('rigs.id', 'rigs.name', 'rigs.updated_at', 'm.name')
            ->selectRaw('m.name as name, count(*) as count, min(units.key) as `key`')->orderBy('m.name')->latest('rigs.updated_at')
            ->latest('rigs.id');
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
     * @param  non-empty-list<string>  $in  columns in which the words may stand, the name first
     */
    private function matching(Builder $query, array $in): Builder
    {
        $texts = 'lower(concat_ws(\' \', '.implode(', ', array_map(fn (string $column) => "convert({$column} using utf8mb4)", $in)).'))';
        foreach ($this->words as $word) {
            $query->whereRaw("{$texts} like ?", ['%'.addcslashes($word, '%_\\').'%']);
        }
        $whole = implode(' ', $this->words);
        $name = "lower(convert({$in[0]} using utf8mb4))";

        return $query->orderByRaw("{$name} = ? desc, {$name} like ? desc", [$whole, addcslashes($whole, '%_\\').'%'])
            ->latest('rigs.updated_at')->latest('rigs.id')->orderBy($in[0]);
    }
}
