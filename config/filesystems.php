<?php

declare(strict_types=1);

return [

    'default' => env('FILESYSTEM_DISK', 'local'),

    'disks' => [

        // Pictures are given out by the application, to those who may see them; the disk itself serves nothing.
        'local' => ['driver' => 'local', 'root' => env('FILES_ROOT') ?: storage_path('app/private'), 'serve' => false, 'throw' => true],

    ],

];
