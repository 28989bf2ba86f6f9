<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

/** What a meter does while one sound plays, beside what the plan lets expect. */
enum Deflection: string
{
    case AsPlanned = 'as-planned';
    case Nothing = 'nothing';
    case Lower = 'lower';
    case Higher = 'higher';

    /** Nobody sees less on a meter. */
    private const SEEN_DB = 6;

    /**
     * @param  int|null  $db  against the sound's own level; null where it does not move
     * @param  int|null  $planned  the same as the plan has it
     */
    public static function of(?int $db, ?int $planned): self
    {
        return match (true) {
            $db === null => $planned === null ? self::AsPlanned : self::Nothing,
            $planned === null || $db - $planned >= self::SEEN_DB => self::Higher,
            $planned - $db >= self::SEEN_DB => self::Lower,
            default => self::AsPlanned,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::AsPlanned => 'as planned',
            self::Nothing => 'does not move',
            self::Lower => 'lower',
            self::Higher => 'higher, or moves at all',
        };
    }
}
