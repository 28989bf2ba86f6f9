<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Rig\Format\Things\Rigs;

/** A canonical document taken apart into what each of its own keys says, as text: what two documents say alike need not be read. */
final readonly class CanonicalText
{
    private const BEGINS = "{\n  \"";

    /** In canonical text this begins a key of the document itself, and nothing else: line breaks in texts are written as `\n`. */
    private const NEXT = ",\n  \"";

    private const ENDS = "\n}\n";

    /** @param  array<string, string>  $says  by key, in the order of the document */
    private function __construct(public array $says)
    {
    }

    /** Null where the text is no canonical document of the version that is written now. */
    public static function of(string $document): ?self
    {
        if (! str_starts_with($document, self::BEGINS) || ! str_ends_with($document, self::ENDS)) {
            return null;
        }
        $says = [];
        foreach (explode(self::NEXT, substr($document, strlen(self::BEGINS), -strlen(self::ENDS))) as $one) {
            $said = explode('": ', $one, 2);
            if (count($said) < 2) {
                return null;
            }
            $says[$said[0]] = $said[1];
        }

        return ($says['version'] ?? null) === (string) Rigs::VERSION ? new self($says) : null;
    }

    /** @return list<string> keys that do not say the same in another document */
    public function differing(self $other): array
    {
        return array_values(array_filter(
            array_keys($this->says + $other->says),
            fn (string $key) => ($this->says[$key] ?? null) !== ($other->says[$key] ?? null),
        ));
    }

    /**
     * What a key says, decoded.
     *
     * @param  bool  $areArrays  objects as arrays by key instead of `\stdClass`
     * @return mixed null where the document does not have the key
     *
     * @throws \JsonException where the text is no JSON
     */
    public function decoded(string $key, bool $areArrays = false): mixed
    {
        return isset($this->says[$key]) ? json_decode($this->says[$key], $areArrays, Json::MAX_DEPTH, JSON_THROW_ON_ERROR) : null;
    }
}
