<?php

declare(strict_types=1);

namespace App\Bench;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Chart\Pin;
use Gravik\Chart\Place as SongPlace;
use Gravik\Chart\Section;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Performance\Performer;
use Gravik\Simulation\Material\MaterialTake;
use Gravik\Simulation\Material\Place;
use Gravik\Simulation\Material\Way;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Time\Feel;
use Gravik\Time\Tempo;

/**
 * Comping by which it is measured how well chords are heard: in two halves whose lines, keys and grips differ, one to set the ear
 * by, the other only to be looked at. Every third take is held in grips without a root.
 *
 * @phpstan-type Bar array{t: float, until: float, symbol: string, midi: list<int>}
 * @phpstan-type Truth array{key: string, rootless: bool, bars: list<Bar>, first_beat: float, strokes: list<array<string, mixed>>}
 */
final readonly class ChordMaterial
{
    private const BARS = 8;

    private const COMPING = [
        ['x.x.x.x.', 1.0], ['x.xx.xxx', 1.0], ['x.xcx.xx', 2.0], ['X.xxX.xx', 1.5], ['x..xx.x.', 2.0], ['x.cxx.cx', 1.0],
    ];

    private const LINES = [
        'seen' => [
            ['D major', '| D | Bm | G | A7 |'], ['A minor', '| Am | F | C | G |'], ['G major', '| G6 | Em7 | Am7 | D9 |'],
            ['E♭ major', '| E♭maj7 | Cm7 | Fm7 | B♭9 |'], ['A major', '| A7 | D9 | A7 | E9 |'], ['C minor', '| Cm6 | Fm7 | G7 | Cm6 |'],
            ['F major', '| Fmaj7 | D7 | Gm7 | C9 |'], ['E minor', '| Em | C | Am7 | B7 |'],
        ],
        'unseen' => [
            ['B♭ major', '| B♭6 | Gm7 | Cm9 | F7 |'], ['E major', '| E | C♯m | A | B7 |'], ['G minor', '| Gm | E♭ | Cm7 | D7 |'],
            ['C major', '| C9 | F9 | C9 | G7 |'], ['A♭ major', '| A♭maj7 | Fm9 | D♭6 | E♭7 |'], ['D minor', '| Dm6 | Gm7 | A7 | Dm |'],
            ['G major', '| Gmaj9 | E7 | Am7 | D6 |'], ['B minor', '| Bm7 | G | Em9 | F♯7 |'],
        ],
    ];

    private const ROOTLESS = [
        'seen' => [
            ['C major', '| Dm9 | G9 | Cmaj9 | A7♭9 |'], ['F major', '| Gm9 | C13 | Fmaj9 | D9 |'],
            ['D minor', '| Em7b5 | A7♭9 | Dm9 | Dm9 |'],
        ],
        'unseen' => [
            ['E♭ major', '| Fm9 | B♭9 | E♭maj9 | C9 |'], ['G major', '| Am9 | D13 | Gmaj9 | E7♭9 |'],
            ['A minor', '| Bm7b5 | E7♭9 | Am9 | D9 |'],
        ],
    ];

    private const MOST_GRIPS = 40;

    public function __construct(private Breakdown $model) {}

    /**
     * @param string $half   seen or unseen
     * @param int    $number of the take, from 1
     *
     * @return array{name: string, plan: Breakdown, wav: string, truth: Truth}
     */
    public function take(string $half, int $number): array
    {
        $rootless = $number % 3 === 0;
        $lines = ($rootless ? self::ROOTLESS : self::LINES)[$half];
        [$key, $line] = $lines[intdiv($number, $rootless ? 3 : 1) % count($lines)];
        $seed = ($half === 'seen' ? 7000 : 9000) + 11 * $number;
        [$slots, $swing] = self::COMPING[(int) (6 * fmod(0.6180339 * $seed, 1.0))];
        $bpm = round(66 + 100 * fmod(0.7548776 * $seed, 1.0));
        $way = Way::cases()[$number % count(Way::cases())];
        $place = Place::cases()[intdiv($number, count(Way::cases())) % count(Place::cases())];
        $plan = $this->plan($slots, $swing, $bpm, $key, $line, $rootless, $seed);
        $timeline = (new Performer())->perform($plan);
        $strokes = (new SimulatedPlayer(5, 0, 8, 0.02, $seed))->play($timeline, self::BARS);
        $beat = 60 / $bpm;
        $bars = [];
        foreach ($timeline->course->chords as $index => $chord) {
            $own = array_values(array_filter($strokes, static fn ($stroke): bool => $stroke->chord === $index));
            $bars[] = [
                't' => SimulatedTake::LEAD + 4 * $beat * count($bars),
                'until' => SimulatedTake::LEAD + 4 * $beat * (count($bars) + 1),
                'symbol' => $chord->chord->text(),
                'midi' => $own === [] ? [] : self::sounding($own[0]->voicing),
            ];
        }
        $all = [...$bars, ...array_map(static fn (array $bar): array => [
            't' => $bar['t'] + 4 * $beat * count($bars),
            'until' => $bar['until'] + 4 * $beat * count($bars),
        ] + $bar, $bars)];

        return [
            'name' => sprintf('%s-%02d-%s-%s%s', $half, $number, $way->value, $place->value, $rootless ? '-rootless' : ''),
            'plan' => $plan,
            'wav' => (new MaterialTake($way, $place, $seed, 6.0))->wav($strokes, $beat),
            'truth' => ['key' => $key, 'rootless' => $rootless, 'bars' => array_slice($all, 0, self::BARS)]
                + (new SimulatedTake($timeline, $strokes))->truth(),
        ];
    }

    private function plan(string $slots, float $swing, float $bpm, string $key, string $line, bool $rootless, int $seed): Breakdown
    {
        $start = $this->model->start->with(feel: Feel::fixed($swing), tempo: new Tempo($bpm), key: Key::parse($key));
        $section = $this->model->sections[0];
        $pins = [];
        foreach (array_map(trim(...), explode('|', trim($line, '| '))) as $bar => $symbol) {
            $grips = $this->grips(ChordSymbol::parse($symbol), $rootless);
            $grip = $grips[($seed + 5 * $bar) % count($grips)];
            $pins[] = new Pin(new SongPlace($section->id, null, $bar, 0), ChordSymbol::parse($symbol)->text(), $grip->frets);
        }
        $song = $this->model->with(
            start: $start,
            sections: [new Section($section->id, $section->name, $line)],
            form: [$this->model->form[0]],
            lines: array_map(
                static fn ($each) => $each->with(pins: $pins, company: $rootless ? Company::WithBass : Company::Alone),
                $this->model->lines,
            ),
        );

        return Desk::of($song)->with(SlotLine::parse($slots, $start->meter, 2));
    }

    /** @return non-empty-list<Voicing> of four to six strings, with the root in the bass; or of four without a root */
    private function grips(ChordSymbol $chord, bool $rootless): array
    {
        $finder = new VoicingFinder(new Neck(Tuning::standard()), new FretRange(0, 12), $rootless ? Company::WithBass : Company::Alone);
        $found = array_values(array_filter(
            $finder->find($chord, self::MOST_GRIPS)->best,
            static function (Voicing $grip) use ($chord, $rootless): bool {
                $midi = self::sounding($grip);
                $rooted = in_array($chord->rootPitchClass(), array_map(static fn (int $note): int => $note % 12, $midi), true);

                return count($midi) >= 4 && ($rootless ? ! $rooted : $rooted && min($midi) % 12 === $chord->rootPitchClass());
            },
        ));

        return $found === [] ? throw new \LogicException('No such grip of '.$chord->text()) : array_slice($found, 0, 6);
    }

    /** @return list<int> */
    private static function sounding(Voicing $grip): array
    {
        return array_values(array_filter($grip->midi, static fn (?int $midi): bool => $midi !== null));
    }
}
