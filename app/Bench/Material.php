<?php

declare(strict_types=1);

namespace App\Bench;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Chart\Section;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Simulation\Material\MaterialTake;
use Gravik\Simulation\Material\Place;
use Gravik\Simulation\Material\Way;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Time\Feel;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/**
 * Takes by which the ear is measured: all kinds of comping, sounded in five ways, recorded in six places, in two halves. The
 * ear is set on the first; the second is looked at when it is done.
 */
final readonly class Material
{
    public const HALVES = ['seen' => 1, 'unseen' => 1001];

    private const BARS = 8;

    /** slots, grid, unit of the swing */
    private const COMPING = [
        ['x.xcx.xx', 2, 'eighth'], ['X.cxc.xcccx.c.xc', 4, 'sixteenth'], ['.x.x.x.x', 2, 'eighth'], ['x.X.x.X.', 2, 'eighth'],
        ['X.xxX.xx', 2, 'eighth'], ['xcXcxcXc', 2, 'eighth'], ['X..xX.x.', 2, 'eighth'], ['Xx.xX.xx', 2, 'eighth'],
        ['XxxxXxxx', 2, 'eighth'], ['X.x.XxcX', 2, 'eighth'], ['c.X.c.Xx', 2, 'eighth'], ['X.xxxcXx', 2, 'eighth'],
    ];

    private const LINES = ['| Dm | A7 | Gm | A7 |', '| Fmaj7 | Dm7 | Gm7 | C7 |', '| E9 | A13 | E9 | B7 |', '| C6 | Am7 | Dm9 | G13 |'];

    private const LIGHT_DB = [0.0, 6.0, 10.0, 14.0];

    public function __construct(private Breakdown $model) {}

    /**
     * @param int $number of the take, from 1
     *
     * @return array{name: string, way: Way, place: Place, plan: Breakdown, timeline: Timeline, wav: string, truth: array<string, mixed>}
     */
    public function take(string $half, int $number): array
    {
        $seed = self::HALVES[$half] + 7 * $number;
        $choose = static fn (array $of, int $by): mixed => $of[(int) floor(fmod($seed * 0.6180339 * $by, 1.0) * count($of))];
        $way = Way::cases()[$number % count(Way::cases())];
        $place = Place::cases()[intdiv($number, count(Way::cases())) % count(Place::cases())];
        [$slots, $grid, $unit] = $choose(self::COMPING, 3);
        $bpm = round(61 + 141 * fmod($seed * 0.6180339, 1.0));
        // Sixteenths at two hundred are nobody's comping.
        $bpm = $grid === 4 ? min($bpm, 118) : $bpm;
        $swing = $choose([1.0, 1.5, 2.0], 5);
        $plan = $this->plan($slots, $grid, $unit, $bpm, $swing, $choose(self::LINES, 7));
        $timeline = (new Performer())->perform($plan);
        $player = new SimulatedPlayer(
            $choose([-15.0, 0.0, 12.0], 11),
            $choose([0.0, -20.0, 15.0], 13),
            $choose([5.0, 9.0, 14.0], 17),
            0.02,
            $seed,
            $choose([0.0, 0.0, 3.0], 19),
        );
        $strokes = $player->play($timeline, self::BARS);
        $other = $this->plan('x...x...', 2, 'eighth', $bpm, 1.0, $choose(self::LINES, 7));
        $beside = $place === Place::Beside
            ? (new SimulatedPlayer(10, 0, 12, 0.3, $seed + 500))->play((new Performer())->perform($other), self::BARS)
            : [];

        return [
            'name' => sprintf('%s-%02d-%s-%s', $half, $number, $way->value, $place->value),
            'way' => $way,
            'place' => $place,
            'plan' => $plan,
            'timeline' => $timeline,
            'wav' => (new MaterialTake($way, $place, $seed, $choose(self::LIGHT_DB, 23)))->wav($strokes, 60 / $bpm, $beside),
            'truth' => (new SimulatedTake($timeline, $strokes))->truth(),
        ];
    }

    private function plan(string $slots, int $grid, string $unit, float $bpm, float $swing, string $line): Breakdown
    {
        $start = $this->model->start->with(feel: Feel::fixed($swing, SwingUnit::from($unit)), tempo: new Tempo($bpm));
        $section = $this->model->sections[0];
        $song = $this->model->with(
            start: $start,
            sections: [new Section($section->id, $section->name, $line)],
            form: [$this->model->form[0]],
            lines: array_map(static fn ($each) => $each->with(pins: []), $this->model->lines),
        );

        return Desk::of($song)->with(SlotLine::parse($slots, $start->meter, $grid));
    }
}
