<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment\Dials;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;

/**
 * One kind of knob or switch that a point can have. Reader, writer, rows, forms, swap, views and differences walk the register
 * {@see Dials}: a new kind is a class or an entry there, a property of the point's settings, and a column.
 */
interface DialKind
{
    /** Its key in a document, its field in a form, its column among the rows. */
    public function key(): string;

    /** The property of a point's settings that holds it. */
    public function property(): string;

    /** What it is called behind "the": "fader". */
    public function name(): string;

    /** What is set there; null where nothing is. */
    public function read(DialReader $in): Decibels|Milliseconds|bool|null;

    /** How a setting is written in documents and rows: dB, ms, or whether. */
    public function plain(Decibels|Milliseconds|bool $value): int|float|bool;

    public function isOn(EquipmentModel $model, Point $point): bool;

    /** The factory setting, of a point that has it. */
    public function usual(Point $point): Decibels|Milliseconds|bool;

    /** Why a point can't be set so, as a sentence; null where it can. */
    public function whyNot(Decibels|Milliseconds|bool $value, EquipmentModel $model, Point $point): ?string;

    /** In words: "fader −3.0 dB", "muted". */
    public function words(Decibels|Milliseconds|bool $value): string;

    /** How far it turns; null for a switch. */
    public function scale(Point $point): ?Scale;
}
