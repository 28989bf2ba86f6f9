<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;

/** One form in which a rig leaves. A new one is a class and a line in the register. */
interface Exporter
{
    /** Its name in an address and on the command line. */
    public function key(): string;

    /** What a person reads on a button. */
    public function label(): string;

    /** Of the file's name, without a dot. */
    public function extension(): string;

    public function mediaType(): string;

    public function write(BookInput $of): string;
}
