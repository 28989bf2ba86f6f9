<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Exports\LabelStock;
use App\Exports\Paper;
use App\Models\Rig;
use App\ViewModels\MapDepth;
use HiddenWire\Core\Book\ScheduleOrder;
use HiddenWire\Core\Quantity\Lengths;
use Illuminate\Foundation\Http\FormRequest;

/** Which parts of the book on which paper, and the map at which depth. What is not known is passed over. */
final class BookRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** @return list<string>|null null for all */
    public function parts(): ?array
    {
        $parts = $this->input('parts');

        return is_array($parts) ? array_values(array_filter($parts, is_string(...))) : null;
    }

    /** The book's page with the same picks. */
    public function back(): string
    {
        $rig = $this->route('rig');

        return route('rigs.book', ['rig' => $rig instanceof Rig ? $rig->id : $rig, 'paper' => $this->paper()->value, ...$this->picks()]);
    }

    /** @return array<string, string|int|list<string>> what decides what the book says, for an address */
    public function picks(): array
    {
        return array_filter(
            ['parts' => $this->parts(), 'revision' => $this->revision(), 'order' => $this->order()->value],
            fn (mixed $value) => $value !== null,
        );
    }

    public function paper(): Paper
    {
        return Paper::tryFrom($this->string('paper')->toString()) ?? Paper::A4;
    }

    /** An earlier revision; null for the rig as it is. */
    public function revision(): ?int
    {
        $asked = $this->string('revision')->toString();

        return preg_match('/^\d{1,15}$/', $asked) === 1 ? (int) $asked : null;
    }

    /** As whoever asks reads lengths. */
    public function lengths(): Lengths
    {
        return $this->user()->lengths ?? Lengths::Metric;
    }

    public function order(): ScheduleOrder
    {
        return ScheduleOrder::tryFrom($this->string('order')->toString()) ?? ScheduleOrder::Label;
    }

    public function stock(): LabelStock
    {
        return LabelStock::of($this->string('labels')->toString());
    }

    public function depth(): MapDepth
    {
        return MapDepth::tryFrom($this->string('map')->toString()) ?? MapDepth::Cables;
    }
}
