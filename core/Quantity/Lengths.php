<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** In what somebody reads and writes lengths: metres, or feet and inches. They are kept in metres either way. */
enum Lengths: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';

    private const INCH_M = 0.0254;

    private const INCHES = 12;

    /** "1.5 m", "4 ft 11 in": feet to the nearest inch, what is shorter than a foot to a tenth. */
    public function words(float $metres): string
    {
        if ($this === self::Metric) {
            return "{$metres} m";
        }
        $inches = $metres / self::INCH_M;
        if ($inches < self::INCHES) {
            return round($inches, 1).' in';
        }
        $whole = (int) round($inches);
        [$feet, $rest] = [intdiv($whole, self::INCHES), $whole % self::INCHES];

        return "{$feet} ft".($rest === 0 ? '' : " {$rest} in");
    }

    /** As written in a field whose label has the unit: "1.5", "4 ft 11 in"; empty where it is not known. */
    public function field(?float $metres): string
    {
        return match (true) {
            $metres === null => '',
            $this === self::Metric => (string) $metres,
            default => $this->words($metres),
        };
    }

    /** Metres of what somebody wrote, in whatever unit that says; without one, metres or feet. Null where it is no length. */
    public function read(string $text): ?float
    {
        $text = trim(strtr(mb_strtolower($text), [',' => '.', '’' => "'", '′' => "'", '”' => '"', '″' => '"', "''" => '"']));
        $number = '(\d+(?:\.\d+)?)';
        if (preg_match("/^{$number}\s*(m|cm|mm)?$/", $text, $found) === 1) {
            return (float) $found[1] * match ($found[2] ?? ($this === self::Metric ? 'm' : 'ft')) {
                'cm' => 0.01, 'mm' => 0.001, 'ft' => self::INCHES * self::INCH_M, default => 1.0,
            };
        }
        $inches = "(?:{$number}\s*(?:in|inch|inches|\"))?";
        if ($text !== '' && preg_match("/^(?:{$number}\s*(?:ft|feet|foot|')\s*)?{$inches}$/", $text, $found) === 1) {
            return ((float) ($found[1] ?? 0) * self::INCHES + (float) ($found[2] ?? 0)) * self::INCH_M;
        }

        return null;
    }

    /** For a choice or a sentence. */
    public function name(): string
    {
        return $this === self::Metric ? 'metres' : 'feet and inches';
    }

    /** For a label: "Length, m". */
    public function unit(): string
    {
        return $this === self::Metric ? 'm' : 'ft and in';
    }
}
