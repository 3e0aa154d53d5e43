<?php

declare(strict_types=1);

// Gravik keeps no files of people's: nothing under storage/ is served.
return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false]],
];
