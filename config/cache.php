<?php

declare(strict_types=1);

return [

    'default' => env('CACHE_STORE', 'file'),

    // Where attempts are counted, and where something is done once at a time: with several web servers, "database".
    'limiter' => env('CACHE_SHARED') ?: null,
    'shared' => env('CACHE_SHARED') ?: null,

    'stores' => [

        // What can't be written to the disk is kept for this request only: a full disk costs speed, never an answer.
        'file' => ['driver' => 'failover', 'stores' => ['disk', 'array']],

        'disk' => [
            'driver' => 'file',
            'path' => env('CACHE_PATH', storage_path('framework/cache/data')),
            'lock_path' => env('CACHE_PATH', storage_path('framework/cache/data')),
        ],

        'database' => ['driver' => 'database', 'table' => 'cache', 'lock_table' => 'cache_locks'],

        'array' => ['driver' => 'array', 'serialize' => false],

    ],

    'prefix' => '',

];
