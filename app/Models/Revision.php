<?php

declare(strict_types=1);

namespace App\Models;

use HiddenWire\Core\History\TextDelta;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One state of a rig: the whole document, who made it, when, and what was done. The document is kept packed: in full now and then, and
 * between those as what makes it of the last full one. A row that is broken costs those that stand on it, {@see self::ON_ONE} at most.
 *
 * @property int $rig_id
 * @property int $number
 * @property int|null $parent  number of the revision that it was made from: where undoing leads
 * @property int|null $user_id
 * @property string $what
 * @property string $name  given to it by a person; usually empty
 * @property string $document  empty where it can't be unpacked any more
 * @property int|null $base  number of the revision that it is a difference to; null for one in full
 * @property int $place  its place, from 1 on, among those that stand on the same one; 0 for one in full
 * @property int $gone  how many were thinned out between the one before it and it
 * @property string|null $sum  of the document, to tell whether it came back as it went in; null of those that were never packed
 * @property array<string, int>|null $counts  pairs by verdict in the base situation; null where nobody has counted
 * @property int|null $units
 * @property int|null $cables
 * @property string|null $build  of the core that counted
 * @property Carbon $created_at
 */
final class Revision extends Model
{
    protected $table = 'revisions';

    public const UPDATED_AT = null;

    protected $fillable = ['number', 'parent', 'user_id', 'what', 'name', 'document', 'counts', 'units', 'cables', 'build'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['counts' => 'array'];
    }

    /** So many revisions stand on one that is kept in full. */
    public const ON_ONE = 49;

    /** A delta that is not so many times smaller than the document is not worth it. */
    private const SMALLER = 8;

    /** @var array{string, string}|null the full document that was read last, by rig, number and sum */
    private static ?array $full = null;

    protected static function booted(): void
    {
        self::creating(fn (self $one) => $one->pack());
    }

    /** @return Attribute<string, string> */
    protected function document(): Attribute
    {
        return Attribute::make(get: fn (?string $plain): string => $plain ?? $this->unpacked());
    }

    /** Packs what has been set as the document, on the last full one of the rig where that is near. */
    public function pack(): void
    {
        $text = (string) ($this->attributes['document'] ?? '');
        $last = self::query()->where('rig_id', $this->rig_id)->where('number', '<', $this->number)->whereNotNull('packed')
            ->latest('number')->first(['rig_id', 'number', 'base', 'place']);
        $delta = null;
        if ($last !== null && $last->place < self::ON_ONE) {
            $base = $last->base ?? $last->number;
            $full = self::full($this->rig_id, $base);
            $delta = $full === '' ? null : TextDelta::between($full, $text);
            $delta = $delta !== null && strlen($delta) * self::SMALLER < strlen($text) ? $delta : null;
        }
        $this->setRawAttributes([
            ...$this->attributes,
            'document' => null,
            'base' => $delta === null ? null : $base,
            'place' => $delta === null ? 0 : $last->place + 1,
            'sum' => self::sum($text),
            'packed' => gzcompress($delta ?? $text, 6),
        ]);
    }

    private function unpacked(): string
    {
        if (! array_key_exists('packed', $this->attributes)) {
            return $this->exists ? (string) self::query()->whereKey($this->getKey())->first()?->document : '';
        }
        try {
            $packed = (string) @gzuncompress((string) $this->attributes['packed']);
            $text = $this->base === null ? $packed : TextDelta::apply(self::full($this->rig_id, $this->base), $packed);
        } catch (\UnexpectedValueException) {
            return '';
        }

        return self::sum($text) === $this->sum ? $text : '';
    }

    /** The document of a revision that is kept in full; empty where there is none, or it is broken. */
    private static function full(int $rig, int $number): string
    {
        $rows = self::query()->where('rig_id', $rig)->where('number', $number)->whereNull('base');
        // Numbers come again after a backup is restored; what they stand for then has another sum.
        $sum = $rows->clone()->value('sum');
        $key = "{$rig} {$number} {$sum}";
        if (self::$full === null || self::$full[0] !== $key) {
            self::$full = [$key, (string) $rows->first()?->document];
        }

        return self::$full[1];
    }

    /** What tells a document from another. */
    public static function sum(string $text): string
    {
        return hash('xxh64', $text);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
