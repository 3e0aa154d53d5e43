<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Documents\BreakdownStore;
use App\Documents\ExportFormat;
use App\Documents\Exports;
use App\Documents\SoundWish;
use App\Models\Breakdown as StoredBreakdown;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Paper;
use Gravik\Handout\Part;

final class Export extends CoreCommand
{
    protected $signature = 'gravik:export
        {source : a breakdown file, or the id of one on the shelf}
        {--format=json : pdf, html, svg, musicxml, mxl, chordpro, tab, midi, wav, csv or json}
        {--paper=a4 : of the handout, a4 or letter}
        {--large : the handout for a stand}
        {--parts= : of the handout, separated by commas}
        {--pass= : one time through the form alone, by its id}
        {--hear= : in the sound: all, without-guitar, or one instrument}
        {--tempo= : of the sound, in beats a minute}
        {--o|output= : the file to write}
        {--json}';

    protected $description = 'Write a breakdown as a handout, a score, a chord sheet, tab, MIDI, sound or its own JSON';

    protected function compute(): void
    {
        $file = app(Exports::class)->file(
            $this->wanted($this->source()),
            ExportFormat::named($this->text('format')),
            $this->wishes(),
            $this->sound(),
        );
        $path = $this->text('output');
        if ($path === '') {
            throw UnusableInput::needs('Say where to: -o FILE.'.$file->ending);
        }
        if (! is_dir(dirname($path)) || @file_put_contents($path, $file->bytes) === false) {
            throw UnusableInput::cannotWrite($path);
        }
        $this->answer(['file' => $path, 'bytes' => strlen($file->bytes), 'not_kept' => $file->notKept], [
            sprintf('Wrote %s (%d bytes).', $path, strlen($file->bytes)),
            ...($file->notKept === [] ? [] : ['Not kept: '.implode('; ', $file->notKept).'.']),
        ]);
    }

    private function wishes(): HandoutWishes
    {
        $named = array_filter(array_map(Part::tryFrom(...), explode(',', $this->text('parts'))));

        return new HandoutWishes(
            $named === [] ? Part::cases() : array_values($named),
            Paper::tryFrom($this->text('paper')) ?? throw UnusableInput::needs('The paper is a4 or letter.'),
            (bool) $this->option('large'),
        );
    }

    private function wanted(Breakdown $song): Breakdown
    {
        $pass = $this->text('pass');

        return $pass === '' ? $song : (new PassRemover())->keepOnly($song, $pass);
    }

    private function sound(): SoundWish
    {
        $heard = $this->text('hear');
        if ($heard !== '' && ! in_array($heard, SoundWish::choices(), true)) {
            throw UnusableInput::needs(sprintf('To be heard are one of %s.', implode(', ', SoundWish::choices())));
        }

        return SoundWish::of($heard, $this->tempo()?->bpm);
    }

    private function source(): Breakdown
    {
        $source = $this->word('source');
        if (is_file($source)) {
            return $this->breakdownFile($source);
        }
        $stored = preg_match('/^[0-9a-z]{26}$/i', $source) === 1 ? StoredBreakdown::query()->find(mb_strtolower($source)) : null;

        return $stored === null ? throw UnusableInput::noSuchBreakdown($source) : app(BreakdownStore::class)->document($stored);
    }
}
