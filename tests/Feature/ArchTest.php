<?php

declare(strict_types=1);

// Who may know whom in the shell around the core: requests come in by Http and Console, and what they ask for knows neither.

arch('what is stored, computed and remembered knows no request and no answer')
    ->expect(['App\Documents', 'App\Models', 'App\Compute'])
    ->not->toUse(['App\Http', 'App\Console', 'Illuminate\Http', 'Illuminate\Routing']);

arch('resources draw up answers and ask nothing of the database')
    ->expect('App\Http\Resources')
    ->not->toUse(['App\Documents', 'App\Compute', 'Illuminate\Database', 'Illuminate\Support\Facades']);

arch('the shell is closed to subclasses but where Laravel or a request shares its rules')
    ->expect('App')
    ->classes()->toBeFinal()
    ->ignoring(['App\Http\Controllers\Controller', 'App\Http\Requests', 'App\Console\CoreCommand']);

arch('types are strict in the shell too')->expect('App')->toUseStrictTypes();

it('says no rule of music in TypeScript: chords, scales and tunings are spelled by the core alone', function (): void {
    $spelled = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(resource_path('js'), FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = (string) $file;
        if (preg_match('/\.(test|d)\.tsx?$|\/testing\/|\/generated\//', $path) === 1) {
            continue;
        }
        // A note counted round the octave, swing turned into a share, a tempo into seconds.
        if (preg_match(
            '/%\s*12\b|ratio\s*\/\s*\(\s*1\s*\+|\(\s*ratio\s*\+\s*1\s*\)|60\s*\/\s*(?:tempo|bpm)/',
            (string) file_get_contents($path),
            $found,
        ) === 1) {
            $spelled[] = str_replace(resource_path('js'), '', $path).': '.$found[0];
        }
    }

    expect($spelled)->toBe([]);
});
