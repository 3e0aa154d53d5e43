<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\ArchiveNotSafe;
use Gravik\Formats\Failure\DraftTooLarge;
use ZipArchive;

/** Takes the score out of a packed one, in memory: never to the disk, never more than there is room for. */
final readonly class MxlFile
{
    private const MOST_ENTRIES = 20;

    private const MOST_BYTES = 31457280;

    private const CONTAINER = 'META-INF/container.xml';

    /** @throws DraftNotReadable */
    public static function score(string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gravik-mxl');
        file_put_contents($path, $bytes);
        $zip = new ZipArchive();
        $opened = $zip->open($path, ZipArchive::RDONLY) === true;
        unlink($path);
        if (! $opened) {
            throw new ArchiveNotSafe('it is damaged, or no archive');
        }

        try {
            if ($zip->numFiles > self::MOST_ENTRIES) {
                throw new ArchiveNotSafe(sprintf('it has %d entries, and a score has at most %d', $zip->numFiles, self::MOST_ENTRIES));
            }
            $name = self::named(self::entry($zip, self::CONTAINER));

            return self::entry($zip, $name);
        } finally {
            $zip->close();
        }
    }

    private static function named(string $container): string
    {
        $found = preg_match('/<rootfile\b[^>]*full-path\s*=\s*["\']([^"\']+)["\']/', $container, $match);
        $name = $found === 1 ? html_entity_decode($match[1], ENT_XML1) : '';
        if ($name === '' || str_contains($name, '..') || str_starts_with($name, '/') || str_contains($name, '\\') || str_contains($name, "\0")) {
            throw new ArchiveNotSafe('it does not say which of its files is the score');
        }

        return $name;
    }

    private static function entry(ZipArchive $zip, string $name): string
    {
        $stat = $zip->statName($name);
        if ($stat === false) {
            throw new ArchiveNotSafe("it has no {$name}");
        }
        if ($stat['size'] > self::MOST_BYTES) {
            throw new DraftTooLarge($stat['size'], self::MOST_BYTES);
        }
        $stream = $zip->getStream($name);
        $bytes = $stream === false ? false : stream_get_contents($stream, self::MOST_BYTES + 1);
        if ($bytes === false || strlen($bytes) > self::MOST_BYTES) {
            throw new ArchiveNotSafe('it unpacks to more than it says');
        }

        return $bytes;
    }
}
