<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Console\UnusableInput;
use Gravik\Breakdown\Desk;
use Gravik\Strokes\Hand\AirStroke;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Measures;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

final class Strokes extends CoreCommand
{
    protected $signature = 'gravik:strokes {file?} {--slots=} {--meter=4/4} {--grid=2} {--school=} {--tempo=} {--swing=} {--json}';

    protected $description = 'Directions, air strokes and times of a pattern: from a breakdown file or from --slots (. air, x strum, X accented, c chuck, g ghost)';

    protected function compute(): void
    {
        [$pattern, $school, $tempo, $feel] = $this->word('file') === '' ? $this->fromSlots() : $this->fromFile($this->word('file'));
        $swing = $this->number('swing');
        $feel = $swing === null ? $feel : Feel::fixed($swing, $feel->unit);
        $ruler = new Ruler($pattern->meter, $tempo, $feel);
        $hand = (new HandPlanner())->plan($pattern, $school, $ruler, $feel);
        $measures = Measures::of($hand->pattern, $ruler);
        $slot = $pattern->slotTicks();
        $strokes = array_map(static fn (Stroke $stroke): array => [
            'slot' => intdiv($stroke->at, $slot),
            'direction' => $stroke->direction?->value,
            'at_beats' => round($ruler->beatsAt($stroke->at, $stroke->division), 9),
            'at_s' => round($ruler->secondsAt($stroke->at, $stroke->division), 9),
            'articulation' => $stroke->articulation->value,
            'muted' => $stroke->isDead(),
            'accent' => $stroke->accent,
        ], $hand->pattern->strokes());
        $this->answer([
            'strokes' => $strokes,
            'air' => array_map(static fn (AirStroke $air): array => [
                'slot' => intdiv($air->at, $slot),
                'direction' => $air->direction->value,
                'at_beats' => round($ruler->beatsAt($air->at, $air->division), 9),
                'at_s' => round($ruler->secondsAt($air->at, $air->division), 9),
            ], $hand->air),
            'warnings' => array_map(
                static fn (Warning $warning): array => ['kind' => $warning->kind->value, 'text' => $warning->text],
                $hand->warnings,
            ),
            'density' => $measures->density,
            'syncopation' => $measures->syncopation,
            'strokes_a_second' => round($measures->strokesASecond, 4),
        ], [
            ...array_map(
                static fn (array $stroke): string => sprintf(
                    '%3d  %-4s  beat %.4f  %.4f s  %s',
                    $stroke['slot'] + 1,
                    $stroke['direction'] ?? '',
                    $stroke['at_beats'] + 1,
                    $stroke['at_s'],
                    $stroke['articulation'],
                ),
                $strokes,
            ),
            ...array_map(static fn (Warning $warning): string => $warning->text, $hand->warnings),
        ]);
    }

    /** @return array{Pattern, School, Tempo, Feel} */
    private function fromFile(string $path): array
    {
        $desk = Desk::of($this->breakdownFile($path));
        $school = $this->text('school');

        return [
            $desk->pattern(),
            $school === '' ? $desk->school() : School::parse($school),
            $this->tempo() ?? $desk->setting->tempo,
            $desk->setting->feel,
        ];
    }

    /** @return array{Pattern, School, Tempo, Feel} */
    private function fromSlots(): array
    {
        if ($this->text('slots') === '') {
            throw UnusableInput::needs('Give a breakdown file, or a pattern with --slots, such as --slots=x.xx.xxx.');
        }
        $pattern = SlotLine::parse($this->text('slots'), Meter::parse($this->text('meter')), $this->whole('grid', 2));

        return [
            $pattern,
            School::parse($this->text('school') === '' ? 'pendulum' : $this->text('school')),
            $this->tempo() ?? new Tempo(120),
            Feel::straight(),
        ];
    }
}
