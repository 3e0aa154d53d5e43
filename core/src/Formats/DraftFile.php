<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\DraftKindUnknown;
use Gravik\Formats\Failure\DraftTooLarge;

/** Drafts a breakdown from any file that is read here, by what is in it, not by what it is called. */
final readonly class DraftFile
{
    public const MOST_BYTES = 31457280;

    /**
     * @param string $title where the file has none
     *
     * @throws DraftNotReadable|MidiNotReadable|DocumentNotReadable
     */
    public static function read(string $bytes, string $title = ''): Draft
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw new DraftTooLarge(strlen($bytes), self::MOST_BYTES);
        }
        $start = ltrim(substr($bytes, 0, 4096), "\xEF\xBB\xBF \t\r\n");

        return match (true) {
            str_starts_with($bytes, 'PK') => ScoreDraft::read(MxlFile::score($bytes)),
            str_starts_with($bytes, 'MThd') => MidiDraft::read($bytes, $title),
            str_starts_with($start, TabText::HEAD) => TabDraft::read(ltrim($bytes, "\xEF\xBB\xBF \t\r\n")),
            str_starts_with($start, '{') && preg_match('/^\{\s*"/', $start) === 1 => new Draft(
                (new BreakdownJson())->parse($bytes),
                ['everything in it'],
                [],
            ),
            // XML begins with its first tag, or says first in which order its bytes come.
            preg_match('/^(?:<|\xFF\xFE|\xFE\xFF)/', $start) === 1 => ScoreDraft::read($bytes),
            // A line that is a directive, or a chord in brackets.
            preg_match('/^\s*\{[a-z_]+(?::|\s|\})|\[[A-G][^\]]{0,12}\]/im', $start) === 1 => ChordProDraft::read($bytes),
            default => throw new DraftKindUnknown(),
        };
    }
}
