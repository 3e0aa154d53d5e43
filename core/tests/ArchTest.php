<?php

declare(strict_types=1);

// Who may know whom, as docs/architecture.md says it, besides PHP and the core's own base.

$base = ['Gravik\CoreException', 'Gravik\Quote', 'Gravik\Words'];
preg_match_all('/^\| (\w+) \| ([\w, ]*?) *\| /m', (string) file_get_contents(__DIR__.'/../../docs/architecture.md'), $rows, PREG_SET_ORDER);
$neighbours = [];
foreach (array_slice($rows, 1) as [, $room, $known]) {
    $neighbours[$room] = $known === '' ? [] : explode(', ', $known);
}
$namespace = static fn (string $room): string => "Gravik\\{$room}";
$others = static fn (string ...$rooms): array => array_map($namespace, array_values(array_diff(array_keys($neighbours), $rooms)));

it('tells of every room of the core', function () use ($neighbours): void {
    expect(array_map(basename(...), (array) glob(__DIR__.'/../src/*', GLOB_ONLYDIR)))->toEqualCanonicalizing(array_keys($neighbours));
});

foreach ($neighbours as $room => $known) {
    arch("{$room} knows only what stands below it")
        ->expect($namespace($room))
        ->toOnlyUse([...$base, $namespace($room), ...array_map($namespace, $known)]);

    if (is_dir(__DIR__."/../src/{$room}/Internal")) {
        arch("the helpers of {$room} stay inside it")
            ->expect($namespace($room).'\Internal')
            ->toOnlyBeUsedIn($namespace($room));
    }
}

arch('nothing knows the simulation')->expect('Gravik\Simulation')->not->toBeUsedIn($others('Simulation'));

arch('nothing but the simulation knows the formats')->expect('Gravik\Formats')->not->toBeUsedIn($others('Formats', 'Simulation'));

arch('the core never sees the framework or the app')
    ->expect('Gravik')
    ->not->toUse(['Illuminate', 'Laravel', 'Symfony', 'App']);

arch('core types cannot be extended')
    ->expect('Gravik')
    ->classes()->toBeFinal()
    ->ignoring('Gravik\Tests');

arch('types are strict everywhere')
    ->expect('Gravik')
    ->toUseStrictTypes();
