<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\ExportFormat;
use App\School\InvitationMail;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Band\Seat;
use Gravik\Breakdown\BalanceVerdict;
use Gravik\Breakdown\Gate;
use Gravik\Breakdown\SetUp;
use Gravik\Breakdown\Stage;
use Gravik\Ensemble\BalanceTest;
use Gravik\Lesson\UsualPractice;
use Gravik\Neck\Grip\GripKind;
use Gravik\Neck\Tuning;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\School;
use Gravik\Strokes\Shaping\BarMove;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListChoices extends Controller
{
    #[OA\Get(path: '/api/choices',
        summary: 'What can be chosen: grooves, tunings, kinds of grips, schools of picking, stages of a lesson and their usual gates',
        responses: [new OA\Response(response: 200, description: 'choices', content: new OA\JsonContent(required: [
        'grooves',
        'tunings',
        'kinds',
        'schools',
        'stages',
        'usual_stage',
        'gates',
        'ornaments',
        'moves',
        'practice',
        'mail',
        'set_up',
        'exports',
        'instruments',
        'listening',
    ], properties: [
        new OA\Property(property: 'instruments', description: 'of a band', type: 'array', items: new OA\Items(required: ['slug', 'words'],
            properties: [
            new OA\Property(property: 'slug', type: 'string', enum: Instrument::class),
            new OA\Property(property: 'words', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'listening', description: 'a balance test: where a listener sits, what is heard, what can be said of it',
            required: ['seats', 'gains', 'verdicts'], properties: [
            new OA\Property(property: 'seats', type: 'array', items: new OA\Items(required: ['slug', 'words'], properties: [
                new OA\Property(property: 'slug', type: 'string', enum: Seat::class),
                new OA\Property(property: 'words', type: 'string'),
            ], type: 'object')),
            new OA\Property(property: 'gains', type: 'array', items: new OA\Items(required: ['gain_db', 'words'], properties: [
                new OA\Property(property: 'gain_db', description: 'null without the guitar', type: 'number', nullable: true),
                new OA\Property(property: 'words', type: 'string'),
            ], type: 'object')),
            new OA\Property(property: 'verdicts', type: 'array', items: new OA\Items(required: ['slug', 'words'], properties: [
                new OA\Property(property: 'slug', type: 'string', enum: BalanceVerdict::class),
                new OA\Property(property: 'words', type: 'string'),
            ], type: 'object')),
        ], type: 'object'),
        new OA\Property(property: 'exports', description: 'forms in which a song leaves the house, and what each keeps', type: 'array',
            items: new OA\Items(required: ['format', 'name', 'words', 'keeps'], properties: [
            new OA\Property(property: 'format', type: 'string', enum: ExportFormat::class),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'words', type: 'string'),
            new OA\Property(property: 'keeps', required: ExportFormat::QUALITIES, properties: [
                new OA\Property(property: 'chords', type: 'string', enum: ['kept', 'bent', 'out']),
                new OA\Property(property: 'grips', type: 'string', enum: ['kept', 'bent', 'out']),
                new OA\Property(property: 'strokes', type: 'string', enum: ['kept', 'bent', 'out']),
                new OA\Property(property: 'muting', type: 'string', enum: ['kept', 'bent', 'out']),
                new OA\Property(property: 'swing', type: 'string', enum: ['kept', 'bent', 'out']),
                new OA\Property(property: 'passes', type: 'string', enum: ['kept', 'bent', 'out']),
                new OA\Property(property: 'stages', type: 'string', enum: ['kept', 'bent', 'out']),
            ], type: 'object'),
        ], type: 'object')),
        new OA\Property(property: 'set_up', description: 'words a set-up is put together from, of each row one', type: 'array',
            items: new OA\Items(required: ['name', 'words'], properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'words', type: 'array', items: new OA\Items(type: 'string')),
        ], type: 'object')),
        new OA\Property(property: 'stages', description: 'of a lesson, from 1 on', type: 'array',
            items: new OA\Items(required: ['slug', 'words'], properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'words', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'usual_stage', type: 'integer'),
        new OA\Property(property: 'ornaments', description: 'of a stroke; with frets where they come from or go to another', type: 'array',
            items: new OA\Items(required: ['kind', 'usual_frets'], properties: [
            new OA\Property(property: 'kind', type: 'string'),
            new OA\Property(property: 'usual_frets', type: 'integer', nullable: true),
        ], type: 'object')),
        new OA\Property(property: 'moves', description: 'that are laid over a bar', type: 'array',
            items: new OA\Items(required: ['slug', 'words', 'why'], properties: [
            new OA\Property(property: 'slug', type: 'string', enum: BarMove::class),
            new OA\Property(property: 'words', type: 'string'),
            new OA\Property(property: 'why', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'mail', description: 'whether links can be sent', type: 'boolean'),
        new OA\Property(property: 'practice', description: 'how practising begins until somebody says otherwise', required: [
            'startShare',
            'minutes',
            'bars',
            'restAfter',
        ], properties: [
            new OA\Property(property: 'startShare', description: 'of the written tempo', type: 'number'),
            new OA\Property(property: 'minutes', type: 'integer'),
            new OA\Property(property: 'bars', type: 'integer'),
            new OA\Property(property: 'restAfter', description: 'minutes', type: 'integer'),
        ], type: 'object'),
        new OA\Property(property: 'gates',
            description: 'that a take must pass when the teacher sets none, and for the advanced', type: 'array',
            items: new OA\Items(required: [
            'name',
            'biasMs',
            'spreadMs',
            'swingPoints',
            'missedShare',
        ], type: 'object', properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'biasMs', type: 'number'),
            new OA\Property(property: 'spreadMs', type: 'number'),
            new OA\Property(property: 'swingPoints', type: 'number'),
            new OA\Property(property: 'missedShare', type: 'number'),
        ])),
        new OA\Property(property: 'schools', description: 'of picking', type: 'array', items: new OA\Items(required: ['slug', 'name'],
            properties: [
            new OA\Property(property: 'slug', type: 'string', enum: School::class),
            new OA\Property(property: 'name', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'kinds', description: 'of grips', type: 'array', items: new OA\Items(required: ['slug', 'name'],
            properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'grooves', type: 'array', items: new OA\Items(required: ['slug', 'name', 'meter'], properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'meter', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'tunings', type: 'array', items: new OA\Items(required: ['slug', 'name', 'strings'], properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'strings', description: 'lowest first', type: 'array', items: new OA\Items(type: 'string')),
        ], type: 'object')),
    ]))])]
    public function __invoke(InvitationMail $mail): JsonResponse
    {
        $tunings = [];
        foreach (Tuning::known() as $slug => [$name, $pitches]) {
            $tunings[] = ['slug' => $slug, 'name' => $name, 'strings' => explode(',', $pitches)];
        }

        return new JsonResponse([
            'grooves' => array_map(
                static fn (Groove $groove): array => ['slug' => $groove->slug, 'name' => $groove->name, 'meter' => $groove->meter->text()],
                array_values(Groove::library()),
            ),
            'tunings' => $tunings,
            'instruments' => self::worded(Instrument::cases()),
            'listening' => [
                'seats' => self::worded(Seat::cases()),
                'gains' => array_map(
                    static fn (?float $gain): array => ['gain_db' => $gain, 'words' => BalanceTest::words($gain)],
                    BalanceTest::gains(),
                ),
                'verdicts' => self::worded(BalanceVerdict::cases()),
            ],
            'schools' => array_map(
                static fn (School $school): array => ['slug' => $school->value, 'name' => $school->words()],
                School::cases(),
            ),
            'stages' => array_map(
                static fn (Stage $stage): array => ['slug' => $stage->slug(), 'words' => $stage->words()],
                Stage::cases(),
            ),
            'exports' => array_map(static fn (ExportFormat $format): array => [
                'format' => $format->value,
                'name' => $format->words(),
                'words' => $format->kind(),
                'keeps' => $format->keeps(),
            ], ExportFormat::cases()),
            'set_up' => array_map(
                static fn (string $name, array $words): array => ['name' => $name, 'words' => $words],
                array_keys(SetUp::WORDS),
                SetUp::WORDS,
            ),
            'usual_stage' => Stage::usual()->value,
            'ornaments' => array_map(
                static fn (OrnamentKind $kind): array => ['kind' => $kind->value, 'usual_frets' => $kind->usualFrets()],
                OrnamentKind::cases(),
            ),
            'moves' => array_map(
                static fn (BarMove $move): array => ['slug' => $move->value, 'words' => $move->words(), 'why' => $move->why()],
                BarMove::cases(),
            ),
            'mail' => $mail->canSend(),
            'practice' => get_object_vars(new UsualPractice()),
            'gates' => [
                ['name' => 'beginner', ...get_object_vars(new Gate())],
                ['name' => 'advanced', ...get_object_vars(Gate::advanced())],
            ],
            'kinds' => array_map(
                static fn (GripKind $kind): array => ['slug' => $kind->value, 'name' => $kind->words()],
                GripKind::cases(),
            ),
        ]);
    }

    /**
     * @param list<Instrument|Seat|BalanceVerdict> $kinds
     *
     * @return list<array{slug: string, words: string}>
     */
    private static function worded(array $kinds): array
    {
        return array_map(
            static fn (Instrument|Seat|BalanceVerdict $kind): array => ['slug' => $kind->value, 'words' => $kind->words()],
            $kinds,
        );
    }
}
