<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Tests\Support\Examples;
use Symfony\Component\Process\Process;

function readme(): string
{
    return (string) file_get_contents(base_path('README.md'));
}

it('shows only pictures and pages that are there, and fewer than twenty pictures', function (): void {
    preg_match_all('/\]\(([^)#]+)\)/', readme(), $links);
    $missing = array_filter($links[1], static fn (string $link): bool => ! str_contains($link, '://') && ! file_exists(base_path($link)));
    $pictures = glob(base_path('docs/screenshots/*.png')) ?: [];
    $unlinked = array_filter(
        $pictures,
        static fn (string $picture): bool => ! str_contains(readme(), 'docs/screenshots/'.basename($picture)),
    );

    expect($links[1])->not->toBe([])->and($missing)->toBe([])->and($unlinked)->toBe([])->and(count($pictures))->toBeLessThan(20);
});

it('shows only commands that run as they stand', function (): void {
    $folder = sys_get_temp_dir().'/readme-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $breakdown = Examples::breakdown();
    file_put_contents("{$folder}/FILE.gravik.json", (new BreakdownJson())->print($breakdown));
    file_put_contents(
        "{$folder}/TAKE.json",
        json_encode(['taps' => (new SimulatedPlayer(5, 0, 8, 0, 1))->taps((new Performer())->perform($breakdown), 8)]),
    );
    preg_match_all('/^php artisan (gravik:\S+.*)$/m', readme(), $commands);
    $ran = 0;
    foreach ($commands[1] as $command) {
        if (str_starts_with($command, 'gravik:bench') || str_starts_with($command, 'gravik:import') || str_starts_with(
            $command,
            'gravik:make-school',
        )) {
            continue;
        }
        $process = Process::fromShellCommandline(
            'php '.escapeshellarg(base_path('artisan')).' '.$command,
            $folder,
            ['DB_DATABASE' => ':memory:'],
        );
        expect($process->run())->toBe(0, $command.': '.$process->getErrorOutput());
        $ran++;
    }
    expect($ran)->toBeGreaterThan(5)->and(file_exists("{$folder}/OUT.mid"))->toBeTrue();
});
