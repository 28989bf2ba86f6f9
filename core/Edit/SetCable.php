<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig;

/** What a cable is: its type, label, length, colour, price and supplier, and whether it is owned or to buy. */
final readonly class SetCable implements RigEdit
{
    /**
     * @param  float|null  $lengthM  null where it is not known
     * @param  string|null  $price  null leaves it, and the supplier
     */
    public function __construct(
        public string $cable,
        public string $label,
        public CableType $type,
        public ?float $lengthM,
        public string $colour,
        public bool $isOwned,
        public ?string $price = null,
        public string $supplier = '',
    ) {
    }

    /** What makes a cable as one given, ends and lanes left as they are. */
    public static function like(Cable $cable): self
    {
        return new self($cable->id, $cable->label, $cable->type, $cable->lengthM, $cable->colour, $cable->owned);
    }

    /** @throws InvalidRig when the label is another cable's */
    public function applyTo(Rig $rig): Rig
    {
        foreach ($rig->cables as $cable) {
            if ($cable->id !== $this->cable && $cable->label === $this->label) {
                throw new InvalidRig([new Problem(
                    "/cables/{$this->cable}/label",
                    "The label {$this->label} is on another cable already.",
                )]);
            }
        }

        return new Rig($rig->parts()->changing(
            'cables',
            $this->cable,
            fn (Cable $cable) => $cable->with(
                label: $this->label,
                type: $this->type,
                lengthM: $this->lengthM,
                colour: $this->colour,
                owned: $this->isOwned,
                lanes: $this->type === $cable->type ? $cable->lanes : null,
                price: $this->price ?? $cable->price,
                supplier: $this->price === null ? $cable->supplier : $this->supplier,
            ),
        ));
    }

    public function words(Rig $rig): string
    {
        $cable = $rig->cables[$this->cable];
        $changed = array_filter([
            $this->label === $cable->label ? '' : "is labelled {$this->label} now",
            $this->type === $cable->type ? '' : "{$this->type->words()} cable",
            $this->lengthM === $cable->lengthM ? '' : ($this->lengthM === null ? 'length not known' : "{$this->lengthM} m"),
            $this->colour === $cable->colour ? '' : ($this->colour === '' ? 'no colour' : $this->colour),
            $this->isOwned === $cable->owned ? '' : ($this->isOwned ? 'at hand' : 'to buy'),
            $this->price === null || $this->price === $cable->price ? '' : ($this->price === '' ? 'no price' : "price {$this->price}"),
            $this->price === null || $this->supplier === $cable->supplier ? '' : "supplier {$this->supplier}",
        ]);

        return "{$cable->label}: ".(implode(', ', $changed) ?: 'nothing new');
    }
}
