<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Planning\Cause;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Quantity\Lengths;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\SignalGraph;

/** What a book is written from: the rig, what is heard of it, and what only its keeper knows (revision, history). */
final class BookInput
{
    public readonly Names $names;

    public readonly Wiring $wiring;

    private readonly Hearings $hearings;

    private ?Examination $examination = null;

    /**
     * @param  string  $edition  which state this is, for the cover and every foot: "Revision 12, 26 November 2026"
     * @param  list<array{string, string, string}>  $changes  when, who and what, the latest first
     * @param  array<string, list<Photo>>  $photos  pictures of settings, by unit
     * @param  int|null  $sinceLast  how many of the changes were made after the last book; null where there was none
     * @param  (\Closure(): (list<Cause>|null))|null  $causes  where the causes are known from, null where nobody has looked; without it
     *     they are looked for, which can take half a minute for a rig of a thousand units
     * @param  (\Closure(): (list<Finding>|null))|null  $findings  the same of what the checks find
     * @param  (\Closure(EquipmentModel): bool)|null  $usual  whether whoever reads the book has a model in the catalogue; null where no
     *     catalogue is known
     * @param  string  $from  who made it, and where it can be looked at: "Ines, http://desk.example/rigs/4"
     */
    public function __construct(
        public readonly Rig $rig,
        public readonly string $edition = '',
        public readonly array $changes = [],
        private readonly ?\Closure $causes = null,
        public readonly array $photos = [],
        public readonly ?int $sinceLast = null,
        public readonly ScheduleOrder $order = ScheduleOrder::Label,
        private readonly ?\Closure $findings = null,
        public readonly Lengths $lengths = Lengths::Metric,
        private readonly ?\Closure $usual = null,
        public readonly string $from = '',
    ) {
        $this->names = new Names($rig);
        $this->wiring = new Wiring($rig);
        $this->hearings = new Hearings($rig);
    }

    public function hearing(?string $situation = null): Hearing
    {
        return $this->hearings->in($situation ?? $this->rig->base()->id);
    }

    /** Of the base situation. */
    public function graph(): SignalGraph
    {
        return $this->hearings->graph($this->rig->base()->id);
    }

    /** Whether a model is in the catalogue as it is, or as one grows it there. */
    public function isUsual(EquipmentModel $model): bool
    {
        return $this->usual !== null && ($this->usual)($model);
    }

    /** @return list<Finding>|null what the checks find; null where nobody has looked */
    public function findings(): ?array
    {
        return $this->findings === null ? $this->examined()->findings : ($this->findings)();
    }

    /** @return list<Cause>|null what is the matter, all situations together; null where nobody has looked */
    public function causes(): ?array
    {
        return $this->causes === null ? $this->examined()->causes : ($this->causes)();
    }

    private function examined(): Examination
    {
        return $this->examination ??= Examination::of($this->hearings);
    }
}
