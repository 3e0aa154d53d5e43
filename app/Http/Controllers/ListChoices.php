<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Gravik\Band\Groove;
use Gravik\Neck\GripKind;
use Gravik\Neck\Tuning;
use Gravik\Strokes\School;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListChoices extends Controller
{
    #[OA\Get(path: '/api/choices', summary: 'What can be chosen: grooves, tunings and kinds of grips', responses: [new OA\Response(response: 200, description: 'choices', content: new OA\JsonContent(required: ['grooves', 'tunings', 'kinds', 'schools'], properties: [
        new OA\Property(property: 'schools', description: 'of picking', type: 'array', items: new OA\Items(required: ['slug', 'name'], properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'kinds', description: 'of grips', type: 'array', items: new OA\Items(required: ['slug', 'name'], properties: [
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
    public function __invoke(): JsonResponse
    {
        $tunings = [];
        foreach (Tuning::known() as $slug => [$name, $pitches]) {
            $tunings[] = ['slug' => $slug, 'name' => $name, 'strings' => explode(',', $pitches)];
        }

        return new JsonResponse([
            'grooves' => array_map(static fn (Groove $groove): array => ['slug' => $groove->slug, 'name' => $groove->name, 'meter' => $groove->meter->text()], array_values(Groove::library())),
            'tunings' => $tunings,
            'schools' => array_map(static fn (School $school): array => ['slug' => $school->value, 'name' => $school->words()], School::cases()),
            'kinds' => array_map(static fn (GripKind $kind): array => ['slug' => $kind->value, 'name' => $kind->words()], GripKind::cases()),
        ]);
    }
}
