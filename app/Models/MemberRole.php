<?php

declare(strict_types=1);

namespace App\Models;

/** What a member may do with a rig. */
enum MemberRole: string
{
    case View = 'view';
    case Edit = 'edit';
}
