<?php

declare(strict_types=1);

namespace App\ViewModels;

/** Where a wish holds that is made on a page. */
enum WishScope: string
{
    case All = 'all';
    case Here = 'here';
}
