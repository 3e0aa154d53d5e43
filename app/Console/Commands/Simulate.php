<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Time\Feel;

final class Simulate extends CoreCommand
{
    protected $signature = 'gravik:simulate {--plan= : the breakdown that is played} {--tempo=} {--swing= : long : short as it is played} {--bias-ms=0} {--off-beat-ms=0} {--spread-ms=8} {--drift=0 : bpm a minute} {--miss=0 : share} {--extra=0 : share} {--bars=8} {--seed=1} {--o|output= : TAKE.wav or TAKE.json} {--json}';

    protected $description = 'A take as a student might play it, with its truth beside it';

    protected function compute(): void
    {
        if ($this->text('plan') === '') {
            throw UnusableInput::needs('Say what is played: --plan=FILE.gravik.json.');
        }
        $path = $this->text('output');
        if (preg_match('/\.(wav|json)$/i', $path) !== 1) {
            throw UnusableInput::needs('Say where to: -o TAKE.wav or -o TAKE.json.');
        }
        $breakdown = $this->breakdownFile($this->text('plan'));
        $swing = $this->number('swing');
        $played = $swing === null
            ? $breakdown
            : $breakdown->with(start: $breakdown->start->with(feel: Feel::fixed($swing, $breakdown->start->feel->unit)));
        $timeline = (new Performer())->perform($played, $this->tempo());
        $player = new SimulatedPlayer(
            $this->number('bias-ms') ?? 0.0,
            $this->number('off-beat-ms') ?? 0.0,
            $this->number('spread-ms') ?? 0.0,
            $this->share('miss'),
            $this->whole('seed', 1),
            $this->number('drift') ?? 0.0,
            $this->share('extra'),
        );
        $bars = $this->whole('bars', 8);
        if ($bars < 1 || $bars > Take::MOST_BARS) {
            throw UnusableInput::needs('A take has 1 to '.Take::MOST_BARS.' bars.');
        }
        $take = new SimulatedTake($timeline, $player->play($timeline, $bars));
        $bytes = str_ends_with(strtolower($path), 'wav')
            ? $take->wav()
            : json_encode(['taps' => $player->taps($timeline, $bars)], JSON_THROW_ON_ERROR);
        $truth = preg_replace('/\.(wav|json)$/i', '.truth.json', $path) ?? $path.'.truth.json';
        // Taps count from bar 1 beat 1; a recording has a moment of silence before.
        $played = (str_ends_with(strtolower($path), 'json') ? ['first_beat' => 0.0] : []) + $take->truth();
        foreach ([$path => $bytes, $truth => json_encode($played, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT)] as $file => $content) {
            if (! is_dir(dirname($file)) || @file_put_contents($file, $content) === false) {
                throw UnusableInput::cannotWrite($file);
            }
        }
        $this->answer(['file' => $path, 'truth' => $truth], [sprintf('Wrote %s, and what was played to %s.', $path, $truth)]);
    }

    private function share(string $option): float
    {
        $share = $this->number($option) ?? 0.0;

        return $share >= 0 && $share < 1 ? $share : throw UnusableInput::needs("--{$option} is a share from 0 up to 1, such as 0.05.");
    }
}
