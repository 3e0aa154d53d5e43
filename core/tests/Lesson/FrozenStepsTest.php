<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Lesson\Steps\Lesson;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Lesson\Steps\ToldStage;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;

it('proposes stages with their figures, words and ladders as it did', function (): void {
    $songs = ['every field' => Frozen::full(), 'swung' => Examples::breakdown(['feel' => Examples::swing(1.7)], 'X.c.xgx.'),
        'dead and short' => Examples::breakdown(['tempo' => 96], 'x.cx.xc.'), ...Frozen::documents(40)];
    $figures = [];
    foreach ($songs as $name => $song) {
        $lesson = static function () use ($song): Lesson {
            $voiced = [];
            foreach ($song->linesPlayed() as $line) {
                $voiced[$line->id] = Toolbox::of($song, $line)->voiced();
            }

            return (new LessonPlanner())->plan($song, $voiced);
        };
        $stages = static fn (): array => $lesson()->stages();
        $figures["{$name}: stages"] = static fn (): array => array_map(static fn (ToldStage $stage): string => $stage->name, $stages());
        for ($place = 0; $place < 14; $place++) {
            $figures["{$name}: stage {$place}"] = static fn (): mixed => array_filter(
                get_object_vars($stages()[$place] ?? new stdClass()),
                static fn (mixed $value): bool => ! $value instanceof Breakdown,
            );
        }
    }
    Frozen::hold('Lesson-Steps', $figures);
});
