<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use App\Backup\BackupNotUsable;
use Illuminate\Console\Command;

final class RestoreBackup extends Command
{
    protected $signature = 'gravik:restore {file : that gravik:backup wrote} {--force : even where there are people already}';

    protected $description = 'Bring a school back from its backup';

    public function handle(Backup $backup): int
    {
        $named = $this->argument('file');
        $file = is_string($named) ? $named : '';

        try {
            $people = $backup->restore($file, (bool) $this->option('force'));
        } catch (BackupNotUsable $problem) {
            $this->error($problem->getMessage());

            return self::FAILURE;
        }
        $this->info("{$people} people are back. Start the workers anew: php artisan queue:restart");

        return self::SUCCESS;
    }
}
