<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Rigs\Everywhere;
use HiddenWire\Core\Quantity\Count;
use Illuminate\Pagination\Paginator;

/** What was found in all rigs, by kind, each with what is said of it and the way there. */
final readonly class FoundEverywhere
{
    private const TITLES = ['rigs' => 'Rigs', 'units' => 'Units', 'models' => 'Where a model is used', 'cables' => 'Cables',
        'sounds' => 'Sounds', 'listeners' => 'Listeners'];

    /**
     * @var list<array{id: string, title: string, count: string, rows: list<array{name: string, says: string, rig: string, url: string}>,
     *     pages: Paginator<int, \stdClass>}>
     */
    public array $kinds;

    /** @param  string|null  $only  the kind that is gone through page by page; null where the first of each are shown */
    public function __construct(public string $text, public ?string $only, int $page, Everywhere $everywhere)
    {
        $kinds = [];
        foreach ($everywhere->found($only, $page) as $kind => $found) {
            $kinds[] = ['id' => $kind, 'title' => self::TITLES[$kind],
                'count' => $only === null ? ($found->hasMorePages() ? 'the first ' : '').$found->count() : '',
                'rows' => array_map(fn (\stdClass $one) => ['name' => $one->name, 'says' => self::says($kind, $one),
                    'rig' => $kind === 'rigs' ? '' : $one->rig_name, 'url' => self::url($kind, $one)], array_values($found->items())),
                'pages' => $found->setPath(route('find-all'))->appends(['q' => $text, 'of' => $kind])];
        }
        $this->kinds = $kinds;
    }

    private static function url(string $kind, \stdClass $one): string
    {
        return match ($kind) {
            'units', 'models' => route('rigs.stock', [$one->rig, 'select' => "unit:{$one->key}"]),
            'cables' => route('rigs.wiring', [$one->rig, 'select' => "cable:{$one->key}"]),
            'sounds' => route('rigs.wiring', [$one->rig, 'pens' => $one->key]),
            default => route('rigs.wishes', $one->rig),
        };
    }

    private static function says(string $kind, \stdClass $one): string
    {
        return match ($kind) {
            'rigs' => $one->summary,
            'units' => implode(', ', array_filter([$one->model, $one->inventory === '' ? '' : "number {$one->inventory}",
                $one->serial === '' ? '' : "serial {$one->serial}"])),
            'models' => Count::of($one->count, 'unit'),
            'cables' => "{$one->from_name} to {$one->to_name}",
            default => '',
        };
    }
}
