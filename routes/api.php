<?php

declare(strict_types=1);

use App\Http\Controllers\Assignments;
use App\Http\Controllers\Breakdowns;
use App\Http\Controllers\Calibration;
use App\Http\Controllers\Compute;
use App\Http\Controllers\Day;
use App\Http\Controllers\Drafts;
use App\Http\Controllers\Ears;
use App\Http\Controllers\Grips;
use App\Http\Controllers\Groups;
use App\Http\Controllers\Hearings;
use App\Http\Controllers\ListChoices;
use App\Http\Controllers\ListPatterns;
use App\Http\Controllers\ListStarts;
use App\Http\Controllers\Moves;
use App\Http\Controllers\People;
use App\Http\Controllers\Profiles;
use App\Http\Controllers\Session;
use App\Http\Controllers\Students;
use App\Http\Controllers\Takes;
use Illuminate\Support\Facades\Route;

// What is no id is not there: nothing asks the database for it.
$ulid = '[0-9A-Za-z]{26}';
Route::patterns([
    'breakdown' => $ulid,
    'id' => $ulid,
    'take' => $ulid,
    'grip' => $ulid,
    'group' => $ulid,
    'balance' => $ulid,
    'invitation' => $ulid,
    'hearing' => $ulid,
    'token' => '[0-9A-Za-z]{1,80}',
    'student' => '[0-9]{1,9}',
    'assignment' => '[0-9]{1,9}',
    'version' => '[0-9]{1,9}',
    'device' => '[A-Za-z0-9._:-]{1,64}',
    'format' => '[a-z0-9]{1,12}',
]);

Route::post('session', Session\SignIn::class);

// For who has no account yet: a link's own signs cannot be guessed, and nobody tries codes or addresses one after another.
Route::middleware('throttle:30,1')->group(static function (): void {
    Route::get('start', People\ShowStart::class);
    Route::post('start', People\BeginSchool::class);
    Route::get('join/{token}', People\ShowInvitation::class);
    Route::post('join/{token}', People\FollowInvitation::class);
    Route::post('join', People\JoinByCode::class);
});

Route::middleware(['auth', 'auth.session'])->group(static function (): void {
    Route::get('session', Session\WhoAmI::class);
    Route::delete('session', Session\SignOut::class);
    Route::put('session/neck', Session\TurnNeck::class);

    Route::put('account', People\ChangeAccount::class);
    Route::delete('account', People\DeleteAccount::class);
    Route::put('account/sounds', People\KeepSounds::class);
    Route::get('account/export', People\ExportOwnData::class);
    Route::post('account/sign-out-everywhere', People\SignOutEverywhere::class);
    Route::get('invitations', People\ListInvitations::class);
    Route::post('invitations', People\MakeInvitation::class);
    Route::post('invitations/many', People\InviteMany::class);
    Route::delete('invitations/{invitation}', People\WithdrawInvitation::class)->can('own', 'invitation');
    Route::get('records', People\ListRecords::class);
    Route::get('groups', Groups\ListGroups::class);
    Route::post('groups', Groups\MakeGroup::class);
    Route::put('groups/{group}', Groups\ChangeGroup::class)->can('own', 'group');
    Route::delete('groups/{group}', Groups\DropGroup::class)->can('own', 'group');
    Route::get('groups/{group}/jobs', Groups\ShowJobs::class)->can('own', 'group');
    Route::get('groups/{group}/balances', Groups\ListBalances::class)->can('own', 'group');
    Route::post('groups/{group}/balances', Groups\NoteBalance::class)->can('own', 'group');
    Route::delete('groups/{group}/balances/{balance}', Groups\ForgetBalance::class)->can('own', 'group');

    Route::get('choices', ListChoices::class);
    Route::get('patterns', ListPatterns::class);
    Route::get('starts', ListStarts::class);

    Route::get('breakdowns', Breakdowns\ListBreakdowns::class);
    Route::post('breakdowns', Breakdowns\CreateBreakdown::class);
    Route::post('breakdowns/{id}/put-back', Breakdowns\PutBackBreakdown::class);
    // Who may is asked before anything else is looked at: what is not theirs is not there, whatever is sent to it.
    Route::middleware('can:view,breakdown')->prefix('breakdowns/{breakdown}')->group(static function (): void {
        Route::get('', Breakdowns\ShowBreakdown::class);
        Route::get('export/{format}', Breakdowns\ExportBreakdown::class);
        Route::get('practice', Day\ShowPractice::class);
        Route::get('log', Students\ShowLog::class);
        Route::get('takes', Takes\ListTakes::class);
        Route::get('takes.csv', Takes\ExportTakes::class);
        Route::get('takes/{take}', Takes\ShowTake::class);
        Route::get('takes/{take}/sound', Takes\PlaySound::class);
        Route::delete('takes/{take}/sound', Takes\ForgetSound::class);
        Route::get('takes/{take}/remarks', Takes\ListRemarks::class);
        Route::post('takes/{take}/remarks', Takes\WriteRemark::class);
        Route::post('takes', Takes\RecordTake::class);
        Route::post('recordings', Takes\HearTake::class);
        Route::get('ears', Ears\ListEars::class);
        Route::post('ears', Ears\NoteEar::class);
    });
    Route::middleware('can:own,breakdown')->prefix('breakdowns/{breakdown}')->group(static function (): void {
        Route::put('', Breakdowns\SaveBreakdown::class);
        Route::delete('', Breakdowns\DeleteBreakdown::class);
        Route::get('versions', Breakdowns\ListVersions::class);
        Route::get('versions/{version}', Breakdowns\ShowVersion::class);
    });

    Route::post('drafts', Drafts\DraftBreakdown::class);

    Route::post('hearings', Hearings\AskHearing::class);
    Route::get('hearings/{hearing}', Hearings\ShowHearing::class)->can('own', 'hearing');

    Route::get('calibrations/{device}', Calibration\ShowDelay::class);
    Route::put('calibrations/{device}', Calibration\MeasureDelay::class);
    Route::put('calibrations/{device}/recording', Calibration\HearDelay::class);

    Route::get('assignments', Assignments\ListAssignments::class);
    Route::post('assignments', Assignments\GiveAssignment::class);
    Route::put('assignments/{assignment}', Assignments\ChangeAssignment::class)->can('own', 'assignment');
    Route::delete('assignments/{assignment}', Assignments\WithdrawAssignment::class)->can('own', 'assignment');
    Route::get('day', Day\ShowDay::class);
    Route::get('class', Students\ShowClass::class);

    Route::get('students', Students\ListStudents::class);
    Route::put('students/{student}/hand', Students\SaveHand::class);
    Route::get('grips', Grips\ListGrips::class);
    Route::post('grips', Grips\KeepGrip::class);
    Route::delete('grips/{grip}', Grips\ForgetGrip::class);
    Route::get('profiles', Profiles\ListProfiles::class);
    Route::post('profiles', Profiles\KeepProfile::class);
    Route::delete('profiles/{profile}', Profiles\ForgetProfile::class);
    Route::get('moves', Moves\ListMoves::class);
    Route::post('moves', Moves\KeepMove::class)->name('moves.keep');
    Route::post('moves/{move}/play', Moves\PlayMove::class);
    Route::delete('moves/{move}', Moves\ForgetMove::class);

    Route::prefix('compute')->group(static function (): void {
        Route::post('chart', Compute\ReadChart::class);
        Route::post('voicings', Compute\FindVoicings::class);
        Route::post('name', Compute\NameGrip::class);
        Route::post('path', Compute\FindPath::class);
        Route::post('neck-map', Compute\MapNeck::class);
        Route::post('strings-plan', Compute\PlanStrings::class);
        Route::post('strokes', Compute\PlanHand::class);
        Route::post('timeline', Compute\BuildTimeline::class);
        Route::post('key', Compute\MoveToKey::class);
        Route::post('without-section', Compute\TakeSectionOut::class);
        Route::post('capo', Compute\MoveCapo::class);
        Route::post('approaches', Compute\OfferApproaches::class);
        Route::post('changes', Compute\MeasureChanges::class);
        Route::post('families', Compute\ShowFamilies::class);
        Route::post('losses', Compute\ListLosses::class);
        Route::post('marks', Compute\ListMarks::class);
        Route::post('proofread', Compute\Proofread::class);
        Route::post('harmonise', Compute\HarmoniseMelody::class);
        Route::post('riff', Compute\PlaceRiff::class);
        Route::post('tuning', Compute\ConvertTuning::class);
        Route::post('stated-tuning', Compute\CheckTuning::class);
        Route::post('easier', Compute\EaseForHand::class);
        Route::post('shape', Compute\ShapePattern::class);
        Route::post('schools', Compute\CompareSchools::class);
        Route::post('feel', Compute\ReadFeel::class);
        Route::post('tapped', Compute\ReadTapped::class);
        Route::post('listen', Compute\MeasureFeel::class);
        Route::post('hummed', Compute\HearHummed::class);
        Route::post('sung', Compute\HearSung::class);
        Route::post('sketch', Compute\DraftFromSound::class);
        Route::post('ladder', Compute\PlanLadder::class);
        Route::post('handout', Compute\LayOutHandout::class);
        Route::post('lesson', Compute\PlanLesson::class);
        Route::post('arrange-alone', Compute\ArrangeAlone::class);
        Route::post('simulate', Compute\SimulateTake::class);
        Route::post('upgrade', Compute\UpgradeDocument::class);
        Route::post('places', Compute\ListPlaces::class);
        Route::post('move', Compute\PlaceMove::class);
        Route::post('split-section', Compute\SplitSection::class);
        Route::post('move-section', Compute\MoveSection::class);
        Route::post('played-here', Compute\SetPlace::class);
        Route::post('fork-ending', Compute\ForkEnding::class);
        Route::post('without-ending', Compute\TakeEndingOut::class);
        Route::post('forms', Compute\OfferForms::class);
        Route::post('fit-turnaround', Compute\FitTurnaround::class);
        Route::post('fit-figure', Compute\FitFigure::class);
        Route::post('add-section', Compute\AddSection::class);
        Route::post('figure', Compute\ReadFigure::class);
        Route::post('keep-figure', Compute\KeepFigure::class);
        Route::post('keep-melody', Compute\KeepMelody::class);
        Route::post('registers', Compute\PlanRegisters::class);
        Route::post('answer', Compute\PlaceAnswer::class);
        Route::post('place-figure', Compute\PlaceFigure::class);
        Route::post('lay-move', Compute\LayMove::class);
        Route::post('cell', Compute\SetCell::class);
        Route::post('band', Compute\ReportBand::class);
        Route::post('beside', Compute\CompareBeside::class);
        Route::post('take-roles', Compute\TakeRoles::class);
        Route::post('add-part', Compute\AddPart::class);
        Route::post('without-part', Compute\TakePartOut::class);
        Route::post('lay-tune', Compute\LayTune::class);
        Route::post('change-seats', Compute\ChangeSeats::class);
        Route::post('add-pass', Compute\AddPass::class);
        Route::post('without-pass', Compute\TakePassOut::class);
        Route::post('move-pass', Compute\MovePass::class);
    });
});
