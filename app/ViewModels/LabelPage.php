<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Rig;
use HiddenWire\Core\Book\AtHand;
use HiddenWire\Core\Book\BookInput;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Unit;

/** A lead or a unit as one needs it who has scanned its label. */
final readonly class LabelPage
{
    public AtHand $atHand;

    public ?Cable $cable;

    public ?Unit $unit;

    /** @param  string|null  $secret  of the link by which it is seen without an account; null for members */
    public function __construct(
        public Rig $record,
        private BookInput $of,
        private string $kind,
        private string $id,
        private ?string $secret = null,
    ) {
        $this->atHand = new AtHand($of);
        $this->cable = $kind === 'cable' ? $of->rig->cables[$id] : null;
        $this->unit = $kind === 'unit' ? $of->rig->units[$id] : null;
    }

    public function title(): string
    {
        return $this->cable->label ?? $this->unit->name ?? '';
    }

    /** Whether somebody sees it who has no more than a label: then only its ends and what runs there. */
    public function isByLink(): bool
    {
        return $this->secret !== null;
    }

    /** "TRS, 3.5 mm, 8 m", or the unit's model and place. */
    public function kind(): string
    {
        return $this->cable !== null ? $this->atHand->kindOf($this->cable, $this->lengths())
            : implode(', ', array_unique(array_filter([
                $this->unit === null ? '' : $this->of->rig->modelOf($this->unit)->name,
                $this->unit === null ? '' : $this->of->rig->places[$this->unit->place]->name,
            ])));
    }

    /** @return array<string, array<string, list<string>>> by situation, by listener; situations in which nothing is lost are left out */
    public function lost(): array
    {
        if ($this->cable === null) {
            return [];
        }
        $lost = [];
        foreach ($this->of->rig->situations as $situation) {
            $lost[$situation->name] = $this->atHand->lostWithout($this->cable, $situation);
        }

        return array_filter($lost);
    }

    public function url(string $kind, string $id): string
    {
        return $this->secret === null ? route('rigs.label', ['rig' => $this->record->id, 'kind' => $kind, 'id' => $id])
            : route('label', ['secret' => $this->secret, 'kind' => $kind, 'id' => $id]);
    }

    public function cablingUrl(): string
    {
        return route('rigs.card', ['rig' => $this->record->id, 'card' => 'cabling']);
    }

    public function mapUrl(): string
    {
        return route('rigs.wiring', ['rig' => $this->record->id, 'select' => "{$this->kind}:{$this->id}"]);
    }

    private function lengths(): Lengths
    {
        return auth()->user()->lengths ?? Lengths::Metric;
    }
}
