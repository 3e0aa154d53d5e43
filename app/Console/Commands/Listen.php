<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use Gravik\Formats\WavSource;
use Gravik\Listening\HeardStroke;
use Gravik\Listening\StrokeListener;

final class Listen extends CoreCommand
{
    protected $signature = 'gravik:listen {file} {--json}';

    protected $description = 'The strums of a recording (WAV): when each begins, its level, its length, ringing or dead';

    protected function compute(): void
    {
        $source = WavSource::open($this->word('file'));
        $strokes = (new StrokeListener())->hear($source);
        $this->answer([
            'seconds' => round($source->seconds(), 3),
            'remark' => $source->remark(),
            'strokes' => array_map(static fn (HeardStroke $stroke): array => [
                't' => round($stroke->t, 4), 'level_db' => round($stroke->levelDb, 1), 'length_s' => round($stroke->seconds, 3), 'muted' => $stroke->muted, 'direction' => null,
            ], $strokes),
        ], [
            sprintf('%d strokes in %.1f seconds, %d of them dead', count($strokes), $source->seconds(), count(array_filter($strokes, static fn (HeardStroke $stroke): bool => $stroke->muted))),
            ...($source->remark() === null ? [] : [$source->remark()]),
        ]);
    }
}
