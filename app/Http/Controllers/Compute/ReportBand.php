<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\BandRequest;
use App\Http\Resources\BandResource;
use Gravik\Ensemble\ClashReporter;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\RoleAdviser;
use Gravik\Ensemble\Support;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ReportBand extends Controller
{
    #[OA\Post(path: '/api/compute/band', summary: 'Who speaks when, in which role, and who is in whose way',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'from', description: 'bar of the song, from 0, with which the window begins', type: 'integer'),
        new OA\Property(property: 'bars', description: 'in the window, 1 to 4', type: 'integer'),
        new OA\Property(property: 'support', description: 'what roles are suggested for', type: 'string', enum: Support::class),
        new OA\Property(property: 'clash', description: 'place of the one whose repairs are worked out, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Band'),
    )])]
    public function __invoke(BandRequest $request, VoicedForms $voiced): JsonResponse
    {
        $breakdown = $request->breakdown();
        $timeline = (new Performer())->perform($breakdown, $request->tempo(), $voiced->all($breakdown));
        $heard = new Heard($breakdown, $timeline);
        $report = (new ClashReporter())->report($breakdown, $timeline);

        return new JsonResponse(BandResource::of(
            $heard,
            $report,
            (new RoleAdviser())->suggest($heard, $request->support()),
            $request->integer('from'),
            $request->integer('bars', 2),
            $request->integer('clash'),
        ));
    }
}
