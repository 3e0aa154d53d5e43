<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/** A backup that cannot be written or brought back; nothing was changed. */
final class BackupNotUsable extends RuntimeException
{
    public static function cannotWrite(string $path): self
    {
        return new self("“{$path}” cannot be written. Choose another folder, or make room.");
    }

    public static function notOurs(string $path): self
    {
        return new self("“{$path}” is no backup of Gravik's, or only a part of one. Choose a file that gravik:backup wrote.");
    }

    public static function otherDatabase(string $has, string $is): self
    {
        return new self("This backup is of {$has}, and this Gravik uses {$is}. Set DB_CONNECTION={$has} in .env first.");
    }

    public static function inUse(int $people): self
    {
        return new self("There are {$people} people in this Gravik already; they would be lost. Restore into an empty one, or say --force.");
    }

    public static function toolFailed(string $tool, string $said): self
    {
        return new self("{$tool} did not do it: {$said}");
    }
}
