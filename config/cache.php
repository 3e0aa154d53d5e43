<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => ['driver' => 'file', 'path' => env('CACHE_PATH', storage_path('framework/cache/data'))],
        'grips' => [
            'driver' => env('CACHE_STORE', 'file'),
            'path' => env('CACHE_PATH', storage_path('framework/cache/data')).'/grips',
            'serialize' => false,
        ],
    ],
    'prefix' => 'gravik',
];
