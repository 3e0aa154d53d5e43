<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use App\Backup\BackupNotUsable;
use Illuminate\Console\Command;

final class MakeBackup extends Command
{
    protected $signature = 'gravik:backup {file : to write, such as gravik.zip}';

    protected $description = 'Write all of this school into one file, while people go on working';

    public function handle(Backup $backup): int
    {
        $named = $this->argument('file');
        $file = is_string($named) ? $named : '';

        try {
            $in = $backup->write($file);
        } catch (BackupNotUsable $problem) {
            $this->error($problem->getMessage());

            return self::FAILURE;
        }
        $this->info(sprintf('%s: %d people, %d sounds, %.1f MB.', $file, $in['people'], $in['sounds'], $in['bytes'] / 1e6));

        return self::SUCCESS;
    }
}
