<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Http\Resources\FeelResource;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Hearing\TuningHeard;
use Gravik\Neck\Tuning;
use Gravik\Time\Meter;

final class Listen extends CoreCommand
{
    protected $signature = 'gravik:listen {file : WAV, MIDI or JSON taps} {--tempo=} {--first-beat= : seconds of bar 1 beat 1} {--meter=} {--grid= : slots a beat} {--json}';

    protected $description = 'Tempo, grid, swing and tuning of a recording, and its strums: when each begins, its level, its length, ringing or dead';

    protected function compute(): void
    {
        $file = $this->takeFile($this->word('file'));
        $meter = $this->text('meter') === '' ? $file->meter ?? Meter::parse('4/4') : Meter::parse($this->text('meter'));
        $grid = $this->number('grid') === null ? null : $this->whole('grid', 2);
        $reading = count($file->strokes) < FeelMeter::FEWEST
            ? null
            : (new FeelMeter())->measure($file->strokes, $meter, $this->tempo(), $this->number('first-beat'), $grid);
        $this->answer(
            FeelResource::of($reading, $file->strokes, $file->hearing) + ['remark' => $file->remark],
            [
                sprintf('%d strokes', count($file->strokes)),
                ...($reading === null ? ['Too few strokes to measure a feel.'] : self::feel($reading)),
                ...($file->hearing?->tuning === null ? [] : [self::tuning($file->hearing->tuning)]),
                ...($file->remark === null ? [] : [$file->remark]),
            ],
        );
    }

    /** @return list<string> */
    private static function feel(FeelReading $reading): array
    {
        $swing = $reading->swing;

        return [
            sprintf(
                '%.1f beats a minute, %+.1f a minute; %d to the beat, scattered by %d ms',
                $reading->tempoBpm,
                $reading->driftBpmPerMin,
                $reading->grid,
                (int) round($reading->spreadMs),
            ),
            $swing === null
                ? 'No pairs to tell a swing from'
                : sprintf(
                    'Swing %.2f : 1, between %.2f and %.2f, from %d pairs%s',
                    $swing->ratio,
                    $swing->low,
                    $swing->high,
                    $swing->pairs(),
                    $swing->isSure() ? '' : ' (not sure)',
                ),
        ];
    }

    private static function tuning(TuningHeard $tuning): string
    {
        return sprintf(
            'Tuned %+d cents from A = 440, nearest to %s',
            (int) round($tuning->cents),
            implode(
                ' or ',
                array_map(static fn (Tuning $near): string => Tuning::known()[$near->slug][0] ?? $near->slug, $tuning->nearest()),
            ),
        );
    }
}
