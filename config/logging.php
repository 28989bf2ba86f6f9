<?php

declare(strict_types=1);

return [

    'default' => env('LOG_CHANNEL', 'single'),

    'deprecations' => ['channel' => null, 'trace' => false],

    'channels' => [

        // A log that can't be written stops no answer.
        'single' => ['driver' => 'stack', 'channels' => ['days'], 'ignore_exceptions' => true],

        'days' => [
            'driver' => 'daily',
            'path' => env('LOG_PATH', storage_path('logs/hidden-wire.log')),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            'permission' => 0600,
        ],

        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],

        'emergency' => ['path' => storage_path('logs/hidden-wire.log')],

    ],

];
