<?php

declare(strict_types=1);

return [

    'default' => env('FILESYSTEM_DISK', 'local'),

    'disks' => [

        // Pictures are given out by the application, to those who may see them; the disk itself serves nothing.
        'local' => ['driver' => 'local', 'root' => env('FILES_ROOT') ?: storage_path('app/private'), 'serve' => false, 'throw' => true],

        // An object store, by its usual interface, for several web servers that share no folder.
        's3' => [
            'driver' => 's3', 'endpoint' => env('S3_ENDPOINT'), 'region' => env('S3_REGION', 'us-east-1'), 'bucket' => env('S3_BUCKET'),
            'key' => env('S3_KEY'), 'secret' => env('S3_SECRET'), 'use_path_style_endpoint' => (bool) env('S3_PATH_STYLE', true),
            'throw' => true, 'retries' => 2, 'request_checksum_calculation' => 'when_required',
            'response_checksum_validation' => 'when_required', 'http' => ['connect_timeout' => 3, 'timeout' => 120],
        ],

    ],

];
