<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

/** A piece of a part, without a form: what writes the book decides how it looks. One of Heading, Text, Table, Steps, Inside and Figure. */
interface Block
{
}
