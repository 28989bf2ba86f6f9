<?php

declare(strict_types=1);

namespace App\Models;

/** What a link opens for whoever has it. */
enum Opens: string
{
    case Book = 'book';
    /** For one lead or unit at a time: its ends and what runs there. */
    case Labels = 'labels';
}
