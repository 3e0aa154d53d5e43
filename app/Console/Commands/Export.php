<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Documents\BreakdownStore;
use App\Documents\Exports;
use App\Models\Breakdown as StoredBreakdown;
use Gravik\Breakdown\Breakdown;

final class Export extends CoreCommand
{
    protected $signature = 'gravik:export {source : a breakdown file, or the id of one on the shelf} {--format=json : midi, wav or json} {--o|output= : the file to write} {--json}';

    protected $description = 'Write a breakdown as a MIDI file, as sound or as its own JSON';

    protected function compute(): void
    {
        $file = app(Exports::class)->file($this->source(), $this->text('format'));
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
