<?php

declare(strict_types=1);

return [

    'default' => env('CACHE_STORE', 'file'),

    'stores' => [

        // What can't be written to the disk is kept for this request only: a full disk costs speed, never an answer.
        'file' => ['driver' => 'failover', 'stores' => ['disk', 'array']],

        'disk' => [
            'driver' => 'file',
            'path' => env('CACHE_PATH', storage_path('framework/cache/data')),
            'lock_path' => env('CACHE_PATH', storage_path('framework/cache/data')),
        ],

        'array' => ['driver' => 'array', 'serialize' => false],

    ],

    'prefix' => '',

];
