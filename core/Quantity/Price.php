<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** Sums of prices as people write them: "89", "9.50 EUR", "€ 1.299,00", "1,299.00 USD". */
final class Price
{
    private const PATTERN = '/^\s*([^\d.,\s-]*)\s*(\d{1,3}(?:[.,\' ]\d{3})+|\d{1,9})(?:[.,](\d{1,2}))?\s*([^\d]*)$/uD';

    /**
     * A price as a figure and its currency; the whole of it as the currency where it can't be read as a figure.
     *
     * @return array{float|null, string}
     */
    public static function parts(string $price): array
    {
        if (preg_match(self::PATTERN, $price, $found) !== 1 || ($found[1] !== '' && trim($found[4]) !== '')) {
            return [null, trim($price)];
        }

        return [(int) preg_replace('/\D/', '', $found[2]) + (int) str_pad($found[3], 2, '0') / 100, trim($found[1].$found[4])];
    }

    /**
     * One figure a currency; what can't be read as a figure is counted, not guessed.
     *
     * @param  list<string>  $prices  empty ones are passed over
     */
    public static function sum(array $prices): string
    {
        $cents = [];
        $unread = 0;
        foreach (array_filter($prices, fn (string $price) => trim($price) !== '') as $price) {
            if (preg_match(self::PATTERN, $price, $found) !== 1 || ($found[1] !== '' && trim($found[4]) !== '')) {
                $unread++;

                continue;
            }
            $currency = trim($found[1].$found[4]);
            $whole = (int) preg_replace('/\D/', '', $found[2]);
            $cents[$currency] = ($cents[$currency] ?? 0) + $whole * 100 + (int) str_pad($found[3], 2, '0');
        }
        $said = [];
        foreach ($cents as $currency => $sum) {
            $said[] = trim(intdiv($sum, 100).'.'.str_pad((string) ($sum % 100), 2, '0', STR_PAD_LEFT)." {$currency}");
        }
        if ($unread > 0) {
            $said[] = Count::of($unread, 'price').' without a figure';
        }

        return implode(' and ', $said);
    }
}
