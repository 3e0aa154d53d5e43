<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\FigureRequest;
use Gravik\Breakdown\Change\RegisterPlanner;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlanRegisters extends Controller
{
    #[OA\Post(path: '/api/compute/registers', summary: 'A register of a figure for every pass it is played in, and the document with them',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'id'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'id', description: 'of the figure', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['passes', 'document'], properties: [
            new OA\Property(property: 'passes', type: 'array', items: new OA\Items(required: ['pass', 'words'], properties: [
                new OA\Property(property: 'pass', type: 'string'),
                new OA\Property(property: 'words', description: 'an octave up, at fret 12', type: 'string'),
            ], type: 'object')),
            new OA\Property(property: 'document', type: 'object'),
        ]),
    )])]
    public function __invoke(FigureRequest $request, BreakdownJson $json, RegisterPlanner $planner): JsonResponse
    {
        $breakdown = $request->breakdown();
        $figure = $breakdown->figure($request->named('id') ?? '');
        $plan = [];
        foreach ($planner->plan($breakdown, $figure) as [$pass, $register]) {
            $plan[] = ['pass' => $pass, 'words' => $register->words()];
        }

        return new JsonResponse(['passes' => $plan, 'document' => $json->write($planner->apply($breakdown, $figure))]);
    }
}
