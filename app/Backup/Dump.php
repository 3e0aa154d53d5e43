<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Database\Connection;
use Symfony\Component\Process\Process;

/** The whole database as one file, as it was at one moment, while others go on writing. */
final readonly class Dump
{
    private const NO_LIMIT = null;

    /** @throws BackupNotUsable */
    public function write(Connection $database, string $path): void
    {
        match ($database->getDriverName()) {
            'sqlite' => $database->statement('vacuum into ?', [$path]),
            default => self::run($database, ['pg_dump', '--format=custom', '--no-owner', '--no-acl', '--file='.$path]),
        };
    }

    /** What was in the database is gone afterwards. @throws BackupNotUsable */
    public function read(Connection $database, string $path): void
    {
        if ($database->getDriverName() !== 'sqlite') {
            self::run($database, ['pg_restore', '--clean', '--if-exists', '--no-owner', '--no-acl', '--exit-on-error', $path]);

            return;
        }
        $target = $database->getDatabaseName();
        $database->disconnect();
        foreach (['-wal', '-shm'] as $beside) {
            is_file($target.$beside) && unlink($target.$beside);
        }
        copy($path, $target.'.new') && rename($target.'.new', $target) || throw BackupNotUsable::cannotWrite($target);
        chmod($target, 0o600);
    }

    /** @param list<string> $command */
    private static function run(Connection $database, array $command): void
    {
        $told = static fn (string $name): string => (string) $database->getConfig($name);
        $process = new Process(
            [
                ...$command,
                '--dbname='.$told('database'),
                '--host='.$told('host'),
                '--port='.$told('port'),
                '--username='.$told('username'),
                '--no-password',
            ],
            null,
            ['PGPASSWORD' => $told('password')],
            null,
            self::NO_LIMIT,
        );
        $process->run();
        $process->isSuccessful() || throw BackupNotUsable::toolFailed($command[0], trim($process->getErrorOutput()));
    }
}
