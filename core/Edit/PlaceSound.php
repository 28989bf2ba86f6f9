<?php

declare(strict_types=1);

namespace HiddenWire\Core\Edit;

use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;

/** Says that a sound begins at a point, and how strongly there; or that it does not. */
final readonly class PlaceSound implements RigEdit
{
    /** @param  Decibels|null  $db  null: it does not begin there */
    public function __construct(public string $source, public PointRef $at, public ?Decibels $db)
    {
    }

    public function applyTo(Rig $rig): Rig
    {
        return new Rig($rig->parts()->changing('sources', $this->source, function (Source $source): Source {
            $origins = $source->origins;
            $here = array_search((string) $this->at, array_map(fn (Origin $origin) => (string) $origin->at, $origins), true);
            if ($this->db !== null) {
                $origins[$here === false ? count($origins) : $here] = $here === false
                    ? new Origin($this->at, $this->db)
                    : $origins[$here]->with(db: $this->db);
            } elseif ($here !== false) {
                unset($origins[$here]);
            }

            return $source->with(origins: array_values($origins));
        }));
    }

    public function words(Rig $rig): string
    {
        $where = "{$rig->point($this->at)->label} of {$rig->units[$this->at->unit]->name}";

        return $rig->sources[$this->source]->name
            .($this->db === null ? " no longer starts at {$where}" : " starts at {$where}"
            .($this->db->number() === 0 ? '' : ", {$this->db->text()} dB"));
    }
}
