<?php

declare(strict_types=1);

// Who may know whom, as docs/architecture.md says it, besides PHP and the core's own base.

$base = ['Gravik\CoreException', 'Gravik\Quote', 'Gravik\Words'];
preg_match_all(
    '/^\| (\w+(?:\/\w+)?) \| ([\w, \/]*?) *\| /m',
    (string) file_get_contents(__DIR__.'/../../docs/architecture.md'),
    $rows,
    PREG_SET_ORDER,
);
$neighbours = [];
foreach (array_slice($rows, 1) as [, $room, $known]) {
    $neighbours[$room] = $known === '' ? [] : explode(', ', $known);
}
$namespace = static fn (string $room): string => 'Gravik\\'.str_replace('/', '\\', $room);
$others = static fn (string ...$rooms): array => array_map($namespace, array_values(array_diff(array_keys($neighbours), $rooms)));
$isStreet = static fn (string $room): bool => array_filter(
    array_keys($neighbours),
    static fn (string $each): bool => str_starts_with($each, "{$room}/"),
) !== [];
/** The types that stand in a street itself, outside its houses. */
$words = static fn (string $room): array => array_map(
    static fn (string $path): string => $namespace($room).'\\'.basename($path, '.php'),
    (array) glob(__DIR__."/../src/{$room}/*.php"),
);

it('tells of every room of the core, and of every house of a street', function () use ($neighbours, $isStreet): void {
    $folders = array_map(basename(...), (array) glob(__DIR__.'/../src/*', GLOB_ONLYDIR));
    foreach (array_filter($folders, $isStreet) as $street) {
        foreach ((array) glob(__DIR__."/../src/{$street}/*", GLOB_ONLYDIR) as $house) {
            $isHouse = ! in_array(basename($house), ['Data', 'Failure', 'Internal'], true);
            $folders = $isHouse ? [...$folders, $street.'/'.basename($house)] : $folders;
        }
    }

    expect($folders)->toEqualCanonicalizing(array_keys($neighbours));
});

it('lets houses of a street look to their left only', function () use ($neighbours): void {
    foreach ($neighbours as $room => $known) {
        $right = array_slice(array_keys($neighbours), (int) array_search($room, array_keys($neighbours), true));
        expect(array_intersect($known, $right))->toBe([]);
    }
});

foreach ($neighbours as $room => $known) {
    $street = explode('/', $room)[0];
    arch("{$room} knows only what stands before it")
        ->expect($isStreet($room) ? [...$words($room), $namespace($room).'\Failure'] : $namespace($room))
        ->toOnlyUse([
            ...$base,
            ...($isStreet($street) ? [...$words($street), $namespace($street).'\Failure', $namespace($street).'\Internal'] : []),
            ...($isStreet($room) ? [] : [$namespace($room)]),
            ...array_map($namespace, $known),
        ]);

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

// What a room can fail by shares a base, so that it can be caught together.
$failures = array_map(
    static fn (string $path): string => 'Gravik\\'.strtr(substr($path, strlen(__DIR__.'/../src/'), -4), '/', '\\'),
    array_filter(
        array_merge((array) glob(__DIR__.'/../src/*.php'), (array) glob(__DIR__.'/../src/*/*.php')),
        static fn (string|false $path): bool => preg_match('/(Exception|NotReadable|NotUnderstood|NotValid)\.php$/', (string) $path) === 1,
    ),
);

arch('core types cannot be extended')
    ->expect('Gravik')
    ->classes()->toBeFinal()
    ->ignoring(['Gravik\Tests', ...$failures]);

arch('what groups failures is no failure itself')->expect($failures)->toBeAbstract();

arch('types are strict everywhere')
    ->expect('Gravik')
    ->toUseStrictTypes();
