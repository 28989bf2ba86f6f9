<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

/** Something that keeps a rig from being one: where (a JSON pointer into its document) and what to do about it. */
final readonly class Problem
{
    /**
     * @param  string|null  $fault  names what is physically impossible, the same wherever it is in a document; null where the parts
     * don't even fit together
     */
    public function __construct(public string $pointer, public string $message, public ?string $fault = null)
    {
    }

    /** A key as a token of a JSON pointer (RFC 6901). */
    public static function token(string $key): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], $key);
    }
}
