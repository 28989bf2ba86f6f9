<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\OwnModel;
use HiddenWire\Core\Document\ModelSketch;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Problem;

/** The form in which a person draws a model: with what it begins from, or with what was sent and is wrong. */
final readonly class OwnModelForm
{
    /** Empty rows that stand ready in each table; scripts add more. */
    private const READY = 2;

    /**
     * @param  OwnModel|null  $own  null for a new one
     * @param  string  $base  id of the model that it began with; empty for none
     * @param  array{name: string, family: string, summary: string}  $head
     * @param  array{points: list<array<string, string>>, lanes: list<array<string, string>>, routes: list<array<string, string>>}  $rows
     * @param  list<Problem>  $problems
     */
    public function __construct(
        public ?OwnModel $own,
        public string $base,
        public array $head,
        private array $rows,
        public array $problems = [],
        public ?ModelDrawing $drawing = null,
    ) {
    }

    /** The form of a model that is kept, or of a new one that begins as another. */
    public static function of(?OwnModel $own, ?EquipmentModel $from): self
    {
        return $from === null
            ? new self($own, '', ['name' => '', 'family' => 'adapter', 'summary' => ''], ['points' => [], 'lanes' => [], 'routes' => []])
            : new self(
                $own,
                $from->id,
                [
                    'name' => $from->name.($own === null ? ', own' : ''),
                    'family' => $from->family->value,
                    'summary' => $from->summary,
                ],
                ModelSketch::rows($from),
                [],
                new ModelDrawing($from),
            );
    }

    public function title(): string
    {
        return $this->own === null ? 'New model' : $this->head['name'];
    }

    /** Where the form is sent. */
    public function action(): string
    {
        return $this->own === null ? route('models.store') : route('models.update', $this->own->id);
    }

    /**
     * @param  'points'|'lanes'|'routes'  $table
     * @return list<array<string, string>> its rows, with empty ones at the end
     */
    public function rows(string $table): array
    {
        return [...$this->rows[$table], ...array_fill(0, self::READY, [])];
    }

    /** @return list<string> labels of the points, to choose from */
    public function pointLabels(): array
    {
        return array_map(fn (array $row) => $row['label'] ?? '', $this->rows['points']);
    }
}
