<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Checks\Checks;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Checks\Severity;
use HiddenWire\Core\Rig\CableRef;

/** What the checks have found, by severity, as far as it is of the chosen severity, kind and place. */
final readonly class ChecksPage
{
    /** What the first part of a check's code is called. */
    private const KINDS = [
        'hear' => 'hearing', 'plug' => 'plugs and leads', 'ground' => 'grounds', 'computer' => 'computers', 'track' => 'tracks',
        'level' => 'levels', 'time' => 'time', 'situation' => 'situations', 'single' => 'dependence',
    ];

    /** @var array<string, array<int, Finding>> open findings by severity, each by its place among all */
    public array $open;

    /** @var array<int, Finding> */
    public array $accepted;

    /** @var array<string, string> kinds of which there are findings, by key */
    public array $kinds;

    /** @var array<string, string> places that have findings, by id */
    public array $places;

    public ?Severity $severity;

    public string $kind;

    public string $place;

    public function __construct(private RigPage $page)
    {
        $all = $page->causes->findings ?? [];
        $open = $page->openFindings();
        $kinds = $places = [];
        foreach ($open as $finding) {
            $kinds[Checks::kind($finding->code)] = true;
            $places += $this->placesOf($finding);
        }
        $this->kinds = array_intersect_key(self::KINDS, $kinds);
        $this->places = array_map(fn ($place) => $place->name, array_intersect_key($page->rig->places, $places));
        $this->severity = Severity::tryFrom($page->asked('severity'));
        $this->kind = isset($this->kinds[$page->asked('kind')]) ? $page->asked('kind') : '';
        $this->place = isset($this->places[$page->asked('place')]) ? $page->asked('place') : '';
        $shown = array_filter($open, fn (Finding $finding) => ($this->severity === null || $finding->severity === $this->severity)
            && ($this->kind === '' || Checks::kind($finding->code) === $this->kind)
            && ($this->place === '' || isset($this->placesOf($finding)[$this->place])));
        $by = [];
        foreach (Severity::cases() as $severity) {
            $by[$severity->value] = array_filter($shown, fn (Finding $finding) => $finding->severity === $severity);
        }
        $this->open = array_filter($by);
        $this->accepted = array_diff_key($all, $open);
    }

    /** Where it is so, as far as that is not everywhere: "On air, Break". */
    public function where(Finding $finding): string
    {
        $situations = $finding->situations;

        return $situations === [] || count($situations) === count($this->page->rig->situations) ? ''
            : implode(', ', array_map(fn (string $id) => $this->page->rig->situations[$id]->name, $situations));
    }

    /** What is not as wished is shown where nothing else is asked for: it is no finding of a check. */
    public function showsHearing(): bool
    {
        return $this->severity === null && $this->kind === '' && $this->place === '';
    }

    public function isFresh(Finding $finding): bool
    {
        return in_array($finding->evidence(), $this->page->causes->fresh ?? [], true);
    }

    /** The address with one of the choices changed. */
    public function url(string $key, ?string $value): string
    {
        return $this->page->url([
            'severity' => $this->severity?->value, 'kind' => $this->kind, 'place' => $this->place, $key => $value,
        ]);
    }

    /** @return array<string, true> the places of what it is about */
    private function placesOf(Finding $finding): array
    {
        $places = [];
        foreach ($finding->about as $at) {
            $cable = $at instanceof CableRef ? $this->page->rig->cables[$at->cable] : null;
            foreach ($cable !== null ? [$cable->from->unit, $cable->to->unit] : [$at->unit ?? null] as $unit) {
                if ($unit !== null) {
                    $places[$this->page->rig->units[$unit]->place] = true;
                }
            }
        }

        return $places;
    }
}
