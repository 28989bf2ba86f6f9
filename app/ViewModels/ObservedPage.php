<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Import\DeviceDifference;
use HiddenWire\Core\Import\DeviceListing;
use HiddenWire\Core\Import\DeviceTrouble;
use HiddenWire\Core\Import\ObservedDevices;
use HiddenWire\Core\Import\UnreadableTable;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Room\Presence;

/** A computer's device list as somebody has read it off the real one, against the plan. */
final readonly class ObservedPage
{
    /** Null where there is no list yet, or it can't be read. */
    public ?ObservedDevices $observed;

    /** @var list<string> lines of which nothing was taken */
    public array $passedOver;

    private RigPage $page;

    /** The list of a stand-in, another than before. */
    public string $simulatedUrl;

    /** Why the list can't be read; empty where it can. */
    public string $trouble;

    /**
     * @param  string  $text  the list; empty for none yet
     * @param  int  $seed  of the simulated computer that has it; 0 for a real one
     */
    public function __construct(RigPage $page, public Unit $computer, public string $text, int $seed = 0)
    {
        $this->page = $page;
        $this->simulatedUrl = route('rigs.observed', [$page->record, $computer->id, 'simulated' => $seed + 1], false);
        $observed = null;
        $passedOver = [];
        $trouble = '';
        try {
            if (trim($text) !== '') {
                $listing = DeviceListing::read($text);
                $passedOver = $listing->passedOver;
                $observed = new ObservedDevices($page->rig, $computer->id, $page->hearing->graph()->devices->of($computer->id), $listing);
            }
        } catch (UnreadableTable $e) {
            $trouble = $e->getMessage();
        }
        [$this->observed, $this->passedOver, $this->trouble] = [$observed, $passedOver, $trouble];
    }

    /** @return list<array{line: string, name: string}> lines that somebody has to say the direction of */
    public function untold(): array
    {
        return trim($this->text) === '' ? [] : DeviceListing::untold($this->text);
    }

    /** How many of the differences a plan can say. */
    public function toTake(): int
    {
        return count(array_filter($this->observed->differences ?? [], fn (DeviceDifference $one) => $one->takeOver !== null));
    }

    /** The fault finder with what the list shows of defaults and of devices that are gone; null where it shows no such thing. */
    public function faultsUrl(): ?string
    {
        $known = FaultAnswers::read('');
        $defaults = [];
        foreach ($this->observed->differences ?? [] as $difference) {
            if ($difference->kind === DeviceTrouble::WrongDefault && $difference->takeOver !== null) {
                $defaults[] = $difference->takeOver->words($this->page->rig);
            }
            if (in_array($difference->kind, [DeviceTrouble::Missing, DeviceTrouble::Disabled], true)
                && $difference->takeOver instanceof EnableDevice) {
                $known = $known->with("list {$this->computer->id} {$difference->takeOver->device}", Presence::Gone->value);
            }
        }
        // Where a device is gone the defaults move by themselves.
        if ($defaults !== [] && $known->answers === []) {
            $known = $known->with("look devices {$this->computer->id}", implode("\n", $defaults));
        }

        return $known->answers === [] ? null : route('rigs.faults', [
            $this->page->record, 'situation' => $this->page->situation->id, 'known' => $known->text(),
        ], false);
    }
}
