<?php

declare(strict_types=1);

namespace HiddenWire\Core\Import;

/** What was given is no table; the message says what to do. */
final class UnreadableTable extends \RuntimeException
{
}
