<?php

declare(strict_types=1);

// Recordings on their way to be heard, and those whose players want them kept; nothing under storage/ is served.
return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => env('SOUNDS_PATH', storage_path('app/private')), 'serve' => false]],
];
