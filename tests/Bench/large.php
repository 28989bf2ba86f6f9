<?php

declare(strict_types=1);

/* `large.php UNITS CABLES`: the document of a generated rig. */

use Tests\Bench\GeneratedRig;

require dirname(__DIR__, 2).'/vendor/autoload.php';

echo GeneratedRig::text((int) $argv[1], (int) $argv[2]);
