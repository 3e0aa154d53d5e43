<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\Schema;
use ZipArchive;

/** All of a school in one file: its database and the sounds its students want kept. The .env with its key is not in it. */
final readonly class Backup
{
    private const FORMAT = 'gravik-backup';

    private const SOUNDS = 'sounds';

    public function __construct(private Connection $database, private Filesystem $files, private Dump $dump, private Kernel $console) {}

    /**
     * @return array{people: int, sounds: int, bytes: int} what is in it
     *
     * @throws BackupNotUsable
     */
    public function write(string $path): array
    {
        $half = $path.'.half';
        $dumped = (string) tempnam(sys_get_temp_dir(), 'gravik-dump-');
        unlink($dumped);
        try {
            $this->dump->write($this->database, $dumped);
            $zip = new ZipArchive();
            $zip->open($half, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true || throw BackupNotUsable::cannotWrite($path);
            $zip->addFromString('backup.json', (string) json_encode([
                'format' => self::FORMAT, 'made' => now()->toIso8601String(), 'database' => $this->database->getDriverName(),
            ]));
            $zip->addFile($dumped, 'database');
            $sounds = $this->files->files(self::SOUNDS);
            foreach ($sounds as $sound) {
                $zip->addFile($this->files->path($sound), $sound);
            }
            @$zip->close() && rename($half, $path) || throw BackupNotUsable::cannotWrite($path);
            chmod($path, 0o600);

            return ['people' => User::query()->count(), 'sounds' => count($sounds), 'bytes' => (int) filesize($path)];
        } finally {
            foreach ([$half, $dumped] as $rest) {
                is_file($rest) && unlink($rest);
            }
        }
    }

    /**
     * @param bool $force even where there are people
     *
     * @return int people that are there now
     *
     * @throws BackupNotUsable
     */
    public function restore(string $path, bool $force): int
    {
        $zip = new ZipArchive();
        $isOpen = $zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) === true;
        $about = $isOpen ? json_decode((string) $zip->getFromName('backup.json'), true) : null;
        if (! is_array($about) || ($about['format'] ?? null) !== self::FORMAT || $zip->locateName('database') === false) {
            throw BackupNotUsable::notOurs($path);
        }
        $driver = $this->database->getDriverName();
        $about['database'] === $driver || throw BackupNotUsable::otherDatabase((string) $about['database'], $driver);
        $people = Schema::hasTable('users') ? User::query()->count() : 0;
        $people === 0 || $force || throw BackupNotUsable::inUse($people);

        $folder = (string) tempnam(sys_get_temp_dir(), 'gravik-restore-');
        unlink($folder);
        mkdir($folder, 0o700);
        try {
            $zip->extractTo($folder, 'database') || throw BackupNotUsable::notOurs($path);
            $this->dump->read($this->database, "{$folder}/database");
            $this->sounds($zip);
            $this->console->call('migrate', ['--force' => true]);
        } finally {
            is_file("{$folder}/database") && unlink("{$folder}/database");
            rmdir($folder);
        }

        return User::query()->count();
    }

    private function sounds(ZipArchive $zip): void
    {
        $this->files->deleteDirectory(self::SOUNDS);
        for ($place = 0; $place < $zip->numFiles; $place++) {
            $name = (string) $zip->getNameIndex($place);
            // Nothing but takes, whatever the archive says.
            $sound = preg_match('~^'.self::SOUNDS.'/[0-9a-z]{26}$~', $name) === 1 ? $zip->getStream($name) : false;
            if ($sound !== false) {
                $this->files->writeStream($name, $sound);
            }
        }
    }
}
