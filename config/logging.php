<?php

declare(strict_types=1);

return [

    'default' => env('LOG_CHANNEL', 'single'),

    'deprecations' => ['channel' => null, 'trace' => false],

    'channels' => [

        'single' => [
            'driver' => 'custom',
            'via' => App\Logging\DailyLog::class,
            'path' => env('LOG_PATH', storage_path('logs/hidden-wire.log')),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
        ],

        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],

        'emergency' => ['path' => storage_path('logs/hidden-wire.log')],

    ],

];
