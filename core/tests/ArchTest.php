<?php

declare(strict_types=1);

// Who may know whom. Each module lists the only neighbours it may use, besides PHP and the core's own base.

$base = ['Gravik\CoreException', 'Gravik\Quote', 'Gravik\Words'];
$neighbours = [
    'Pitch' => [],
    'Time' => [],
    'Harmony' => ['Pitch'],
    'Neck' => ['Harmony', 'Pitch'],
    'Strokes' => ['Time'],
    'Chart' => ['Harmony', 'Neck', 'Strokes', 'Pitch', 'Time'],
    'Band' => ['Chart', 'Harmony', 'Neck', 'Strokes', 'Pitch', 'Time'],
    'Breakdown' => ['Chart', 'Band', 'Harmony', 'Neck', 'Strokes', 'Pitch', 'Time'],
    'Performance' => ['Breakdown', 'Chart', 'Band', 'Harmony', 'Neck', 'Strokes', 'Pitch', 'Time'],
    'Lesson' => ['Time', 'Pitch', 'Harmony', 'Neck', 'Strokes', 'Chart', 'Band', 'Breakdown', 'Performance', 'Listening'],
    'Listening' => ['Time', 'Pitch', 'Neck', 'Strokes', 'Performance', 'Harmony', 'Breakdown'],
];

foreach ($neighbours as $module => $known) {
    arch("{$module} knows only what stands below it")
        ->expect("Gravik\\{$module}")
        ->toOnlyUse([...$base, "Gravik\\{$module}", ...array_map(static fn (string $name): string => "Gravik\\{$name}", $known)]);
}

arch('nothing knows the formats and the simulation')
    ->expect(['Gravik\Formats', 'Gravik\Simulation'])
    ->not->toBeUsedIn(array_map(static fn (string $name): string => "Gravik\\{$name}", array_keys($neighbours)));

arch('the core never sees the framework or the app')
    ->expect('Gravik')
    ->not->toUse(['Illuminate', 'Laravel', 'Symfony', 'App']);

arch('core types cannot be extended or changed')
    ->expect(['Gravik\Pitch', 'Gravik\Time', 'Gravik\Chart', 'Gravik\Band', 'Gravik\Breakdown', 'Gravik\Performance'])
    ->classes()->toBeFinal();

arch('helpers stay inside their module')
    ->expect('Gravik\Neck\Internal')
    ->toOnlyBeUsedIn('Gravik\Neck');

arch('types are strict everywhere')
    ->expect('Gravik')
    ->toUseStrictTypes();
