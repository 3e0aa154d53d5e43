<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\ArchiveNotSafe;
use Gravik\Formats\Failure\DraftTooLarge;
use ZipArchive;

/** Packs a score, and takes one out of its archive: no file of it is ever unpacked to the disk, nor more than there is room for. */
final readonly class MxlFile
{
    private const MOST_ENTRIES = 20;

    /** as it is registered */
    private const TYPE = 'application/vnd.recordare.musicxml';

    private const CONTAINER = 'META-INF/container.xml';

    /** An archive dates its entries; the same song is to give the same bytes. */
    private const NO_DATE = 315619200;

    /** A score packed, as programs exchange it. */
    public static function pack(string $score): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gravik-mxl');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('mimetype', self::TYPE);
        $zip->setCompressionName('mimetype', ZipArchive::CM_STORE);
        $zip->addFromString(self::CONTAINER, '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            .'<container><rootfiles><rootfile full-path="score.musicxml" media-type="'.self::TYPE.'+xml"/></rootfiles></container>'."\n");
        $zip->addFromString('score.musicxml', $score);
        for ($entry = 0; $entry < $zip->numFiles; $entry++) {
            $zip->setMtimeIndex($entry, self::NO_DATE);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

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
        if ($name === '' || str_starts_with($name, '/') || preg_match('/\.\.|\\\\|\x00/', $name) === 1) {
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
        if ($stat['size'] > DraftFile::MOST_BYTES) {
            throw new DraftTooLarge($stat['size'], DraftFile::MOST_BYTES);
        }
        $stream = $zip->getStream($name);
        $bytes = $stream === false ? false : stream_get_contents($stream, DraftFile::MOST_BYTES + 1);
        if ($bytes === false || strlen($bytes) > DraftFile::MOST_BYTES) {
            throw new ArchiveNotSafe('it unpacks to more than it says');
        }

        return $bytes;
    }
}
