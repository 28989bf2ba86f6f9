<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Rig\Problem;

/** A document that can't be taken. Carries every offence with its JSON pointer; the pointer of the document itself is "". */
final class InvalidDocument extends \RuntimeException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(
            fn (Problem $problem) => ($problem->pointer === '' ? '(document)' : $problem->pointer).': '.$problem->message,
            array_slice($problems, 0, 20),
        )));
    }

    public static function whole(string $message): self
    {
        return new self([new Problem('', $message)]);
    }
}
