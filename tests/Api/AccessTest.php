<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Account\UserRepository;
use App\Batches\Batch;
use App\Batches\BatchUnit;
use App\Harvest\OwnMeasure;
use App\Health\TreeSign;
use App\Season\CropNote;
use App\Season\PlannedDay;
use App\Season\TreeEvent;
use App\Species\WoodNote;
use App\Survey\Survey;
use App\Trees\Stand;
use App\Trials\Trial;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** Every address by everybody. An address nobody put into the list is a failure. */
final class AccessTest extends ApiTestCase
{
    /**
     * Who gets in where; the address and the body are such that nothing but the person could be wrong.
     */
    private const WHO = [
        'openapi' => ['everybody', '/api/openapi.json'],
        'shell' => ['everybody', '/examine'],
        'app_running_health_health' => ['everybody', '/api/health'],
        'app_running_running_running' => ['instructors', '/api/running'],
        'app_account_session_session' => ['everybody', '/api/session'],
        'app_species_flora_floras' => ['everybody', '/api/floras'],
        'app_species_flora_flora' => ['readers', '/api/flora'],
        'app_species_flora_terms' => ['readers', '/api/terms'],
        'app_species_comparison_compare' => ['readers', '/api/flora/compare?taxa=fagus-sylvatica,carpinus-betulus'],
        'app_species_flora_taxon' => ['readers', '/api/flora/taxa/taxus-baccata'],
        'app_account_session_preferences' => ['readers', '/api/preferences', ['units' => 'metric']],
        'app_demo_day_day' => ['people', '/api/demo/day', ['day' => '2027-06-14']],
        'app_account_session_password' => [
            'readers',
            '/api/password',
            ['present' => \App\Demo\DemoSchool::PASSWORD, 'next' => \App\Demo\DemoSchool::PASSWORD],
        ],
        'app_account_people_examiners' => ['readers', '/api/examiners'],
        'app_account_people_people' => ['instructors', '/api/people'],
        'app_account_school_poisoncentre' => [
            'instructors',
            '/api/school/poison-centre',
            ['number' => '0199 555 40 41'],
        ],
        'app_account_people_invite' => ['instructors', '/api/invitations', ['name' => 'Somebody', 'role' => 'guest']],
        'app_account_people_withdraw' => ['instructors', '/api/invitations/{invitation}'],
        'app_account_people_change' => ['instructors', '/api/people/{person}', ['role' => 'learner']],
        'app_account_people_passwordlink' => ['instructors', '/api/people/{person}/password-link'],
        'app_account_people_deeds' => ['instructors', '/api/deeds/{random}'],
        'app_account_join_begin' => ['everybody', '/api/begin', self::SCHOOL],
        'app_account_join_welcome' => ['everybody', '/api/join/{secret}'],
        'app_account_join_join' => [
            'everybody',
            '/api/join/{renewal}',
            ['name' => 'Somebody', 'email' => 'somebody@orlebach.example', 'password' => 'a sentence of one’s own'],
        ],
        'app_account_join_renew' => [
            'everybody',
            '/api/join/{secret}/password',
            ['password' => 'a sentence of one’s own'],
        ],
        'app_web_installed_serviceworker' => ['everybody', '/sw.js'],
        'app_web_installed_rules' => ['everybody', '/rules.js'],
        'app_web_installed_webmanifest' => ['everybody', '/app.webmanifest'],
        'app_find_find_find' => ['readers', '/api/find?q=elder'],
        'app_field_field_taken' => ['readers', '/api/field/taken'],
        'app_field_field_examination' => ['the examiner', '/api/field/taken/{examination}'],
        'app_field_field_size' => ['readers', '/api/field/size'],
        'app_field_field_sheet' => ['readers', '/api/field/sheet?taxon=sambucus-nigra&part=flower'],
        'app_field_field_rules' => ['readers', '/api/field/rules'],
        'app_field_field_flora' => ['readers', '/api/field/floras/eastern-north-america'],
        'app_season_today_today' => ['readers', '/api/today'],
        'app_stock_stock_all' => ['readers', '/api/stock'],
        'app_stock_stock_reckon' => [
            'readers',
            '/api/stock/reckon?taxon=prunus-avium&animal=cattle&number=6&grams=600000&diameter=300',
        ],
        'app_species_care_show' => ['readers', '/api/flora/taxa/ailanthus-altissima/care'],
        'app_hazards_hazards_day' => ['readers', '/api/hazards/day?site={site}'],
        'app_hazards_hazards_swallowed' => ['readers', '/api/hazards/swallowed?site={site}'],
        'app_hazards_hazards_tellall' => ['people', '/api/hazards/swallowed/all', []],
        'app_health_healthoftree_show' => ['readers', '/api/specimens/{tree}/health'],
        'app_health_healthoftree_tell' => [
            'people',
            '/api/specimens/{tree}/health',
            ['id' => '{random}', 'sign' => 'brackets'],
        ],
        'app_health_healthoftree_takeback' => ['instructors', '/api/specimens/{spotted}/health/{sign}'],
        'app_pastures_pasture_all' => ['readers', '/api/pastures'],
        'app_pastures_pasture_export' => ['readers', '/api/pastures.geojson'],
        'app_pastures_pasture_put' => ['instructors', '/api/pastures/{random}', self::PASTURE],
        'app_pastures_pasture_import' => ['instructors', '/api/pastures/import?site={site}', self::PASTURES],
        'app_pastures_pasture_choose' => [
            'instructors',
            '/api/pastures/{pasture}/choices',
            ['of' => '{hedge}', 'choice' => 'watch'],
        ],
        'app_pastures_pasture_giveup' => ['instructors', '/api/pastures/{pasture}'],
        'app_storm_storm_all' => ['readers', '/api/storms'],
        'app_storm_storm_raise' => [
            'people',
            '/api/storms',
            ['id' => '{random}', 'siteId' => '{site}', 'blewAt' => '2027-06-13', 'gust' => 26.4],
        ],
        'app_storm_storm_found' => ['people', '/api/storms/stops/{stop}', ['finding' => 'limb-down']],
        'app_storm_storm_end' => ['people', '/api/storms/stops/{stop}/end', ['how' => 'cleared-away']],
        'app_storm_storm_reopen' => ['people', '/api/storms/stops/{stop}/end'],
        'app_storm_storm_oftree' => ['readers', '/api/specimens/{tree}/storms'],
        'app_learning_practice_draw' => ['readers', '/api/practice'],
        'app_learning_practice_answered' => ['readers', '/api/practice/answers'],
        'app_learning_practice_show' => ['readers', '/api/practice/central-european-hills.06.k3f9x'],
        'app_learning_practice_answer' => [
            'people',
            '/api/practice/central-european-hills.06.k3f9x',
            ['id' => '{random}', 'decision' => 'not-yet'],
        ],
        'app_learning_mnemonic_all' => ['readers', '/api/mnemonics?about=kind/quercus-robur'],
        'app_learning_mnemonic_keep' => [
            'people',
            '/api/mnemonics',
            ['about' => 'kind/quercus-robur', 'text' => 'Ears on the leaf'],
        ],
        'app_learning_drill_next' => ['readers', '/api/drills'],
        'app_learning_drill_answer' => [
            'people',
            '/api/drills/answers',
            ['card' => 'bark/quercus-robur', 'lot' => 7, 'answer' => 'quercus-robur'],
        ],
        'app_learning_rates_show' => ['instructors', '/api/learning/rates'],
        'app_learning_rates_propose' => ['instructors', '/api/learning/rates', ['id' => '{random}']],
        'app_learning_rates_document' => ['instructors', '/api/learning/rates/{random}.yaml'],
        'app_learning_rates_rehearse' => ['instructors', '/api/learning/rehearsal?part=sambucus-nigra/flower'],
        'app_learning_cards_deck' => ['readers', '/api/cards?deck=twigs'],
        'app_learning_cards_quiz' => ['readers', '/api/quiz?seed=7'],
        'app_teaching_group_all' => ['readers', '/api/groups'],
        'app_teaching_group_offer' => ['instructors', '/api/groups/offer?site={site}'],
        'app_teaching_group_show' => ['readers', '/api/groups/{group}'],
        'app_teaching_group_plan' => [
            'instructors',
            '/api/groups/{random}',
            ['day' => '2027-06-19', 'siteId' => '{site}', 'name' => 'Saturday'],
        ],
        'app_teaching_group_result' => [
            'people',
            '/api/groups/{group}/results',
            ['station' => '{station}', 'who' => 'guest-1', 'found' => true],
        ],
        'app_teaching_group_after' => ['instructors', '/api/groups/{group}/after', ['learnt' => 'Buds.']],
        'app_teaching_group_giveup' => ['instructors', '/api/groups/{group}'],
        'app_teaching_adoption_all' => ['readers', '/api/adopted'],
        'app_teaching_adoption_adopt' => ['people', '/api/adopted', ['id' => '{random}', 'tree' => '{tree}']],
        'app_teaching_adoption_note' => ['people', '/api/adopted/{random}/note', ['text' => 'Buds swell.']],
        'app_teaching_adoption_end' => ['people', '/api/adopted/{random}'],
        'app_trust_trust_show' => ['readers', '/api/trust'],
        'app_trust_trust_rule' => [
            'instructors',
            '/api/trust/rules',
            ['taxon' => 'corylus-avellana', 'part' => 'nut', 'looks' => 4],
        ],
        'app_trust_trust_droprule' => ['instructors', '/api/trust/rules?taxon=corylus-avellana&part=nut'],
        'app_trust_trust_grant' => [
            'instructors',
            '/api/trust',
            ['id' => '{random}', 'learner' => '{person}', 'taxon' => 'sambucus-nigra', 'part' => 'flower'],
        ],
        'app_trust_trust_withdraw' => ['instructors', '/api/trust/{grant}/withdraw', ['because' => 'Once more.']],
        'app_learning_progress_own' => ['readers', '/api/learning'],
        'app_learning_progress_ofperson' => ['instructors', '/api/learning/{person}'],
        'app_learning_progress_ofschool' => ['instructors', '/api/learning/school'],
        'app_learning_progress_agreement' => ['instructors', '/api/learning/agreement'],
        'app_learning_progress_export' => ['readers', '/api/learning.csv'],
        'app_learning_progress_forget' => ['people', '/api/learning'],
        'app_survey_survey_all' => ['readers', '/api/surveys'],
        'app_survey_survey_begin' => ['people', '/api/surveys', ['id' => '{random}', 'siteId' => '{site}']],
        'app_survey_survey_show' => ['readers', '/api/surveys/{survey}'],
        'app_survey_survey_export' => ['readers', '/api/surveys/{survey}.csv'],
        'app_survey_survey_look' => ['people', '/api/surveys/{survey}/looks', ['tree' => '{tree}']],
        'app_survey_survey_unlook' => ['people', '/api/surveys/{survey}/looks/{tree}'],
        'app_survey_survey_stand' => [
            'people',
            '/api/surveys/{survey}/stands/{random}',
            ['label' => 'Row of firs', 'count' => 'few'],
        ],
        'app_survey_survey_standgone' => ['people', '/api/surveys/{survey}/stands/{hedge}'],
        'app_survey_survey_close' => ['people', '/api/surveys/{survey}/close', []],
        'app_trees_tree_sites' => ['readers', '/api/sites'],
        'app_trees_site_show' => ['readers', '/api/sites/{site}'],
        'app_trees_site_add' => [
            'instructors',
            '/api/sites',
            ['name' => 'Somewhere else', 'latitude' => 47, 'longitude' => 15, 'altitude' => 400],
        ],
        'app_trees_site_change' => [
            'instructors',
            '/api/sites/{site}',
            ['name' => 'Elsewhere still', 'latitude' => 47, 'longitude' => 15, 'altitude' => 400],
        ],
        'app_trees_site_permit' => [
            'instructors',
            '/api/sites/{site}/permissions',
            ['owner' => 'Somebody', 'given' => true, 'said' => 'spoken', 'saidOn' => '2027-06-14'],
        ],
        'app_trees_site_quotas' => [
            'instructors',
            '/api/sites/{site}/quotas',
            ['quotas' => ['sambucus-nigra/flower' => 9]],
        ],
        'app_trees_tree_specimens' => ['readers', '/api/specimens'],
        'app_trees_tree_specimen' => ['readers', '/api/specimens/{tree}'],
        'app_trees_tree_tag' => ['people', '/api/specimens', ['tag' => 'Z-01', 'siteId' => '{site}']],
        'app_trees_treepage_show' => ['readers', '/api/specimens/{tree}/page'],
        'app_trees_treepage_change' => ['people', '/api/specimens/{tree}', ['whereabouts' => 'by the mill']],
        'app_trees_treepage_measure' => [
            'people',
            '/api/specimens/{tree}/measures',
            ['on' => '2027-06-14', 'girth' => 31.5],
        ],
        'app_trees_treepage_taganew' => ['people', '/api/specimens/{tree}/tag', ['tag' => 'Z-02']],
        'app_trees_site_boundary' => [
            'instructors',
            '/api/sites/{site}/boundary',
            ['corners' => [[15, 47], [15.1, 47], [15, 47.1]]],
        ],
        'app_examine_treeidentity_hold' => [
            'instructors',
            '/api/specimens/{other}/kind',
            ['taxon' => 'castanea-sativa', 'examinations' => ['{signed}']],
        ],
        'app_examine_treeidentity_doubt' => [
            'people',
            '/api/specimens/{other}/doubt',
            ['because' => 'The bark looked odd.'],
        ],
        'app_examine_treeidentity_merge' => [
            'instructors',
            '/api/specimens/{spare}/merge',
            ['with' => '{spare2}', 'because' => 'Two tags on one trunk.'],
        ],
        'app_examine_treeidentity_split' => [
            'instructors',
            '/api/specimens/{other}/split',
            ['tag' => 'Z-03', 'examinations' => [], 'because' => 'Two trunks.'],
        ],
        'app_examine_decision_show' => ['readers', '/api/decisions/{decision}'],
        'app_season_year_year' => ['readers', '/api/year'],
        'app_season_year_season' => ['readers', '/api/specimens/{tree}/season'],
        'app_season_year_record' => [
            'people',
            '/api/specimens/{tree}/events',
            ['id' => '{random}', 'event' => 'first-flower', 'on' => '2027-06-01'],
        ],
        'app_season_year_takeback' => ['instructors', '/api/events/{event}'],
        'app_reckoning_reckoning_drying' => ['readers', '/api/reckoning/drying?grams=1000&now=40&then=10'],
        'app_reckoning_reckoning_air' => ['readers', '/api/reckoning/air?celsius=20&humidity=60'],
        'app_reckoning_reckoning_leaching' => ['readers', '/api/reckoning/leaching?meal=1000&water=4000'],
        'app_reckoning_reckoning_preserve' => ['readers', '/api/reckoning/preserve?fruit=1000&sugar=600'],
        'app_reckoning_reckoning_kernels' => [
            'readers',
            '/api/reckoning/kernels?grams=1000&opened=40&sound=33&kernel=40',
        ],
        'app_reckoning_reckoning_cord' => ['readers', '/api/reckoning/cord?grams=60&millimetres=3'],
        'app_reckoning_reckoning_firewood' => ['readers', '/api/reckoning/firewood?stacked=1&density=700&water=20'],
        'app_reckoning_measuring_stems' => ['readers', '/api/measuring/stems?girths=120%2085'],
        'app_reckoning_measuring_angles' => ['readers', '/api/measuring/height/angles?distance=20&top=45&foot=-5'],
        'app_reckoning_measuring_stick' => ['readers', '/api/measuring/height/stick?stick=60&near=60&far=18'],
        'app_reckoning_measuring_shadow' => ['readers', '/api/measuring/height/shadow?pole=1.8&near=2.4&far=16'],
        'app_reckoning_measuring_spread' => ['readers', '/api/measuring/spread?widest=12&square=9'],
        'app_reckoning_measuring_lean' => ['readers', '/api/measuring/lean?aside=1&height=10'],
        'app_reckoning_measuring_points' => ['readers', '/api/measuring/points?girth=600&height=30&spread=30'],
        'app_reckoning_measuring_age' => ['readers', '/api/measuring/age?girth=160&low=4&high=5'],
        'app_reckoning_measuring_rings' => ['readers', '/api/measuring/rings?rings=60&over=20&radius=25'],
        'app_reckoning_measuring_twig' => ['readers', '/api/measuring/twig?pieces=30%20120%2090&growing=1'],
        'app_reckoning_reckoning_stem' => ['readers', '/api/reckoning/stem?girth=126&height=24'],
        'app_reckoning_stack_stack' => [
            'readers',
            '/api/reckoning/stack?site={site}&since=2027-03-01&thick=100&long=0.33&density=690',
        ],
        'app_reckoning_reckoning_log' => ['readers', '/api/reckoning/log?butt=40&top=30&length=4'],
        'app_reckoning_reckoning_board' => ['readers', '/api/reckoning/board?millimetres=200&green=8.6&now=30&then=8'],
        'app_harvest_harvest_log' => ['readers', '/api/harvests'],
        'app_harvest_harvest_correct' => [
            'instructors',
            '/api/harvests/{harvest}',
            ['taken' => ['amount' => 20, 'unit' => 'heads'], 'because' => 'Counted again.'],
        ],
        'app_harvest_harvest_open' => ['readers', '/api/harvests/open'],
        'app_harvest_harvest_takeofseveral' => [
            'instructors',
            '/api/harvests',
            ['unit' => 'heads', 'trees' => [['examination' => '{examination}', 'amount' => 3]]],
        ],
        'app_harvest_measure_all' => ['readers', '/api/measures'],
        'app_harvest_measure_add' => [
            'people',
            '/api/measures',
            ['name' => 'my basket of haws', 'amount' => 1.4, 'unit' => 'kg'],
        ],
        'app_harvest_measure_forget' => ['instructors', '/api/measures/{measure}'],
        'app_species_wood_woods' => ['readers', '/api/woods'],
        'app_species_wood_note' => [
            'people',
            '/api/woods/notes',
            ['id' => '{random}', 'taxon' => 'tilia-cordata', 'work' => 'carve', 'ease' => 'easy'],
        ],
        'app_species_wood_takeback' => ['instructors', '/api/woods/notes/{wood}'],
        'app_trials_trial_all' => ['readers', '/api/trials'],
        'app_trials_trial_record' => [
            'people',
            '/api/trials',
            [
                'id' => '{random}',
                'what' => 'tinder',
                'of' => 'birch bark',
                'way' => 'fire steel',
                'damp' => 'dry',
                'worked' => true,
            ],
        ],
        'app_trials_trial_takeback' => ['instructors', '/api/trials/{trial}'],
        'app_batches_batch_all' => ['readers', '/api/batches'],
        'app_batches_batch_free' => ['readers', '/api/batches/harvests'],
        'app_batches_batch_begin' => [
            'people',
            '/api/batches',
            [
                'id' => '{random}',
                'name' => 'Syrup',
                'recipe' => 'elderflower-cordial',
                'ways' => [],
                'sources' => ['{harvest}' => 1],
                'grams' => 200,
            ],
        ],
        'app_batches_batch_show' => ['readers', '/api/batches/{batch}'],
        'app_batches_batch_step' => ['people', '/api/batches/{batch}/steps/0', ['started' => true]],
        'app_batches_batch_check' => ['people', '/api/batches/{batch}/steps/1/checks', ['answer' => 'not-yet']],
        'app_batches_batch_putin' => [
            'people',
            '/api/batches/{batch}/steps',
            ['name' => 'Strain again', 'do' => 'Through a cloth.', 'until' => 'It is clear.'],
        ],
        'app_batches_batch_split' => [
            'people',
            '/api/batches/{batch}/split',
            ['id' => '{random}', 'name' => 'The small pot', 'grams' => 100, 'stay' => 300],
        ],
        'app_batches_batch_join' => ['people', '/api/batches/{batch}/join', ['other' => '{batch}']],
        'app_batches_batch_label' => [
            'people',
            '/api/batches/{batch}/units',
            ['count' => 1, 'contents' => 'Syrup', 'bestBefore' => '2028-06-01'],
        ],
        'app_batches_batch_end' => ['people', '/api/batches/{batch}/end', ['note' => 'More lemon.']],
        'app_batches_batch_trace' => ['readers', '/api/units/{unit}'],
        'app_batches_batch_give' => ['people', '/api/units/{unit}/given-to', ['givenTo' => 'the kitchen']],
        'app_batches_batch_oftree' => ['readers', '/api/specimens/{tree}/batches'],
        'app_batches_recall_all' => ['readers', '/api/recalls'],
        'app_batches_recall_recall' => [
            'instructors',
            '/api/recalls',
            ['what' => 'tree', 'about' => '{other}', 'because' => 'The leaf looks odd.'],
        ],
        'app_recipes_ownrecipe_bring' => ['instructors', '/api/recipes/own', self::OWN_RECIPE],
        'app_recipes_ownrecipe_layaside' => ['instructors', '/api/recipes/own/haw-leather-of-ours'],
        'app_recipes_recipe_all' => ['readers', '/api/recipes'],
        'app_recipes_recipe_document' => ['readers', '/api/recipes.json'],
        'app_recipes_recipe_recipe' => ['readers', '/api/recipes/acorn-meal'],
        'app_season_year_windows' => ['readers', '/api/flora/taxa/sambucus-nigra/windows'],
        'app_season_crop_crops' => ['readers', '/api/specimens/{tree}/crops'],
        'app_season_crop_note' => [
            'people',
            '/api/specimens/{tree}/crops',
            ['id' => '{random}', 'part' => 'flower', 'year' => 2026, 'grade' => 'fair'],
        ],
        'app_season_crop_takeback' => ['instructors', '/api/crop-notes/{note}'],
        'app_season_plan_days' => ['readers', '/api/plan/days'],
        'app_season_plan_keep' => ['people', '/api/plan/days', ['id' => '{random}', 'day' => '2027-06-20']],
        'app_season_plan_giveup' => ['instructors', '/api/plan/days/{planned}'],
        'app_trees_site_waysin' => [
            'instructors',
            '/api/sites/{site}/ways-in',
            ['entrance' => [15.3, 47.1], 'car' => []],
        ],
        'app_weather_weather_show' => ['readers', '/api/sites/{site}/weather'],
        'app_weather_weather_station' => ['instructors', '/api/sites/{site}/station', ['station' => 'stand-in']],
        'app_weather_weather_bring' => ['instructors', '/api/sites/{site}/weather', "date,tmin,tmax\n2026-03-01,1,5\n"],
        'app_season_calendar_fetch' => ['readers', '/api/calendar.ics'],
        'app_season_calendar_address' => ['readers', '/api/calendar'],
        'app_season_calendar_make' => ['people', '/api/calendar', []],
        'app_season_calendar_revoke' => ['people', '/api/calendar'],
        'app_season_calendar_byaddress' => ['everybody', '/api/feed/{feed}.ics'],
        'app_season_plan_plan' => ['readers', '/api/plan'],
        'app_season_plan_route' => ['readers', '/api/plan.gpx'],
        'app_season_year_phenology' => ['readers', '/api/phenology'],
        'app_season_treeseason_years' => ['readers', '/api/specimens/{tree}/years'],
        'app_season_treeseason_partners' => ['readers', '/api/specimens/{tree}/partners'],
        'app_pictures_picture_oftree' => ['readers', '/api/specimens/{tree}/pictures'],
        'app_pictures_picture_ofsite' => ['readers', '/api/sites/{site}/papers'],
        'app_pictures_picture_ofharvest' => ['readers', '/api/harvests/{harvest}/pictures'],
        'app_pictures_picture_ofbatch' => ['readers', '/api/batches/{batch}/pictures'],
        'app_pictures_picture_add' => ['people', '/api/pictures?tree={tree}', self::PICTURE],
        'app_pictures_picture_show' => ['readers', '/api/pictures/{picture}/thumb'],
        'app_pictures_picture_change' => ['instructors', '/api/pictures/{picture}', ['caption' => 'From below']],
        'app_pictures_picture_remove' => ['instructors', '/api/pictures/{picture}'],
        'app_pictures_picture_restore' => ['instructors', '/api/pictures/{picture}/restore'],
        'app_map_map_trees' => ['readers', '/api/map/trees'],
        'app_map_map_base' => ['readers', '/api/map/base'],
        'app_map_map_setbase' => ['instructors', '/api/map/base', ''],
        'app_devices_device_receiver' => ['readers', '/api/devices/receiver'],
        'app_devices_device_walk' => ['people', '/api/devices/receiver', ['latitude' => 47.1, 'longitude' => 15.3]],
        'app_devices_device_gauge' => ['readers', '/api/devices/gauge'],
        'app_devices_device_setgauge' => ['people', '/api/devices/gauge', ['reading' => 12.5]],
        'app_devices_device_camera' => ['readers', '/api/devices/camera'],
        'app_devices_device_picture' => ['readers', '/api/devices/camera/leaf-on-squares.jpg'],
        'app_exchange_exchange_export' => ['readers', '/api/export/trees.gpx'],
        'app_exchange_exchange_import' => ['instructors', '/api/import/trees', "tag,place\r\nZ-09,Mill meadow\r\n"],
        'app_exchange_exchange_document' => ['the examiner', '/api/examinations/{examination}/document'],
        'app_keeping_keeping_all' => ['instructors', '/api/copies'],
        'app_keeping_keeping_make' => ['instructors', '/api/copies', []],
        'app_keeping_keeping_fetch' => ['instructors', '/api/copies/{copy}'],
        'app_examine_treehistory_known' => ['readers', '/api/specimens/{tree}/known'],
        'app_examine_treehistory_examinations' => ['readers', '/api/specimens/{tree}/examinations'],
        'app_examine_examination_begin' => [
            'people',
            '/api/examinations',
            ['specimenId' => '{tree}', 'date' => '2027-06-14'],
        ],
        'app_species_review_sheet' => ['readers', '/api/floras/central-european-hills/nevers'],
        'app_species_review_review' => [
            'instructors',
            '/api/floras/central-european-hills/nevers/taxus-baccata/strap/reviews',
            ['verdict' => 'agreed'],
        ],
        'app_harvest_harvest_take' => [
            'instructors',
            '/api/examinations/{examination}/harvests',
            ['amount' => 3, 'unit' => 'heads'],
        ],
        'app_examine_evidence_points' => ['the examiner', '/api/examinations/{examination}/points'],
        'app_examine_evidence_danger' => ['the examiner', '/api/examinations/{examination}/dangers/taxus-baccata'],
        'app_examine_evidence_evidence' => [
            'the examiner',
            '/api/examinations/{examination}/evidence/sambucus-nigra/sambucus-ebulus',
        ],
        'app_examine_examination_show' => ['the examiner', '/api/examinations/{examination}'],
        'app_examine_examination_change' => [
            'the examiner',
            '/api/examinations/{examination}',
            ['route' => 'bark-first'],
        ],
        'app_examine_examination_score' => [
            'the examiner',
            '/api/examinations/{examination}/scores',
            ['id' => '{random}', 'character' => 'leaf.kind', 'states' => ['pinnate']],
        ],
        'app_examine_examination_takeback' => ['the examiner', '/api/examinations/{examination}/scores/{score}'],
        'app_examine_examination_restore' => ['the examiner', '/api/examinations/{examination}/scores/{score}/restore'],
        'app_examine_examination_reconsider' => [
            'the examiner',
            '/api/examinations/{examination}/reconsider',
            ['because' => 'It was another tree altogether.'],
        ],
        'app_examine_examination_sign' => ['the examiner', '/api/examinations/{examination}/sign'],
        'app_examine_handover__invoke' => [
            'the examiner',
            '/api/examinations/{examination}/hand-over',
            ['to' => '{person}'],
        ],
        'app_account_session_endall' => ['readers', '/api/sessions/end'],
        'api_logout' => ['readers', '/api/logout'],
        'api_login' => [
            'everybody',
            '/api/login',
            ['email' => 'tobias@orlebach.example', 'password' => \App\Demo\DemoSchool::PASSWORD],
        ],
    ];
    private const PASTURE = [
        'name' => 'Bank pasture',
        'siteId' => '{site}',
        'corners' => [[15.31, 47.121], [15.312, 47.121], [15.312, 47.122]],
        'animal' => 'goats',
        'number' => 4,
        'grams' => 60000,
    ];
    private const PASTURES = <<<'JSON'
        {"type": "Feature", "geometry": {"type": "Polygon", "coordinates":
         [[[15.31, 47.12], [15.312, 47.12], [15.312, 47.121], [15.31, 47.12]]]},
         "properties": {"name": "Strip", "animal": "horses", "number": 2, "kilograms_each": 480}}
        JSON;
    private const OWN_RECIPE = <<<'YAML'
    haw-leather-of-ours:
      name: Haw leather, our way
      use: food
      of: [crataegus-monogyna/fruit]
      per: haws
      needs: [a sieve]
      steps:
        - {name: Mash, do: "Mash them raw.", takes: 20 min, until: "the stones swim free", left: 0.5–0.7}
      keeping: [{as: leather, for: 3–6 months, where: dry, spoils: "It turns sticky."}]
      cautions: ["The stones are not eaten."]
      allergens: []
      sources: [{source: own, place: the kitchen}]
    YAML;
    /** Eight by eight points. */
    private const PICTURE = 'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAAAAADhZOFXAAAADklEQVR4nGM4AQUMlDEACLEyAaio5RMAAAAASUVORK5CYII=';
    /** The first page, where there is a school already. */
    private const SCHOOL = [
        'word' => 'aaaa-bbbb-cccc-dddd',
        'name' => 'Another school',
        'place' => 'Elsewhere',
        'latitude' => 47.0,
        'longitude' => 15.0,
        'altitude' => 400,
        'flora' => 'central-european-hills',
        'units' => 'metric',
        'dates' => 'day',
        'ofOne' => false,
        'person' => 'Somebody',
        'email' => 'somebody@elsewhere.example',
        'password' => 'a sentence of one’s own',
    ];
    private const PERSONS = [
        '' => ['everybody'],
        'vera' => ['everybody', 'readers'],
        'ida' => ['everybody', 'readers', 'people'],
        'jonas' => ['everybody', 'readers', 'people', 'instructors'],
        'marta' => ['everybody', 'readers', 'people', 'instructors', 'the examiner'],
    ];

    public function testEveryAddressIsInTheList(): void
    {
        $router = self::getContainer()->get('router');
        self::assertInstanceOf(RouterInterface::class, $router);
        self::assertEqualsCanonicalizing(
            array_keys(self::WHO),
            array_keys($router->getRouteCollection()->all()),
            'say in the list who gets in there',
        );
    }

    /** @return iterable<string, array{string}> */
    public static function persons(): iterable
    {
        foreach (array_keys(self::PERSONS) as $person) {
            yield '' === $person ? 'a stranger' : $person => [$person];
        }
    }

    private function picture(string $tree): string
    {
        $this->client->request(
            'POST',
            '/api/pictures?tree='.$tree,
            server: [
                'CONTENT_TYPE' => 'image/png',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: (string) base64_decode(self::PICTURE, true),
        );
        $answer = json_decode((string) $this->client->getResponse()->getContent(), true);

        return self::text(\is_array($answer) ? $answer : [], 'id');
    }

    private function feedOf(string $who): string
    {
        $user = self::getContainer()->get(UserRepository::class)->find($this->person($who));
        self::assertNotNull($user);
        $user->calendarHash = hash('sha256', str_repeat('F', 32));
        self::getContainer()->get('doctrine.orm.entity_manager')->flush();

        return str_repeat('F', 32);
    }

    /** @return array<string, array{0: string, 1: string, 2?: array<string, mixed>|string}> */
    private static function who(): array
    {
        return self::WHO;
    }

    private function harvestOf(string $tag): string
    {
        $free = $this->call('GET', '/api/batches/harvests');
        $id = array_column($free, 'harvest', 'tag')[$tag] ?? null;

        return \is_string($id) ? $id : self::fail('Nothing is left of '.$tag);
    }

    /** @param class-string $what of what somebody did */
    private function oneOf(string $what, string $who): string
    {
        $found = self::getContainer()
            ->get('doctrine.orm.entity_manager')
            ->getRepository($what)
            ->findOneBy(['by' => $this->person($who)]);
        \assert(null !== $found && isset($found->id) && \is_string($found->id));

        return $found->id;
    }

    private function copy(): string
    {
        $folder = \dirname(__DIR__, 2).'/var/test-copies';
        is_dir($folder) || mkdir($folder, recursive: true);
        file_put_contents($folder.'/20270614T000000Z.zip', 'none');

        return '20270614T000000Z';
    }

    #[DataProvider('persons')]
    public function testEveryAddressBy(string $person): void
    {
        $router = self::getContainer()->get('router');
        self::assertInstanceOf(RouterInterface::class, $router);
        $this->signIn('marta');
        $site = self::at($this->call('GET', '/api/sites'), '0.id');
        $address = $this->begin('M-01', ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'fruit']);
        $score = self::at(
            $this->call('POST', $address.'/scores', ['character' => 'leaf.kind', 'states' => ['pinnate']]),
            'scores.0.id',
        );
        self::assertIsString($site);
        self::assertIsString($score);
        $link = fn (): array => $this->call('POST', '/api/invitations', ['name' => 'Somebody', 'role' => 'learner']);
        $renewal = $this->call('POST', '/api/people/'.$this->person('tobias').'/password-link');
        $fill = [
            '{tree}' => $this->tree('M-01'),
            '{site}' => $site,
            '{examination}' => basename($address),
            '{score}' => $score,
            '{person}' => $this->person('tobias'),
            '{invitation}' => self::text($link(), 'id'),
            '{secret}' => basename(self::text($link(), 'path')),
            '{renewal}' => basename(self::text($renewal, 'path')),
            '{random}' => Uuid::v4()->toRfc4122(),
            '{trial}' => $this->oneOf(Trial::class, 'marta'),
            '{harvest}' => $this->harvestOf('M-01'),
            '{batch}' => $this->oneOf(Batch::class, 'marta'),
            '{wood}' => $this->oneOf(WoodNote::class, 'jonas'),
            '{measure}' => $this->oneOf(OwnMeasure::class, 'marta'),
            '{unit}' => $this->oneOf(BatchUnit::class, 'jonas'),
            '{note}' => $this->oneOf(CropNote::class, 'marta'),
            '{planned}' => $this->oneOf(PlannedDay::class, 'marta'),
            '{other}' => $this->tree('M-02'),
            '{spotted}' => $this->tree('M-15'),
            '{sign}' => $this->oneOf(TreeSign::class, 'marta'),
            '{survey}' => $this->oneOf(Survey::class, 'marta'),
            '{hedge}' => $this->oneOf(Stand::class, 'marta'),
            '{group}' => self::text($this->call('GET', '/api/groups'), 'days.0.id'),
            '{station}' => 'b2c1f0de-3f27-4d8e-9c53-000000000011',
            '{grant}' => self::text($this->call('GET', '/api/trust'), 'grants.0.id'),
            '{pasture}' => self::text($this->call('GET', '/api/pastures'), 'pastures.0.id'),
            '{stop}' => self::text($this->call('GET', '/api/storms'), 'walks.0.stops.0.id'),
            '{signed}' => self::text(
                $this->call('GET', '/api/specimens/'.$this->tree('M-02').'/known'),
                'decisions.0.examination',
            ),
            '{decision}' => self::text(
                $this->call('GET', '/api/specimens/'.$this->tree('M-02').'/known'),
                'decisions.0.id',
            ),
            '{spare}' => self::text($this->call('POST', '/api/specimens', ['tag' => 'Y-01', 'siteId' => $site]), 'id'),
            '{spare2}' => self::text($this->call('POST', '/api/specimens', ['tag' => 'Y-02', 'siteId' => $site]), 'id'),
            '{picture}' => $this->picture($this->tree('M-01')),
            '{copy}' => $this->copy(),
            '{event}' => $this->oneOf(TreeEvent::class, 'jonas'),
            '{feed}' => $this->feedOf('tobias'),
        ];
        $this->client->getCookieJar()->clear();
        if ('' !== $person) {
            $this->signIn($person);
        }
        foreach (self::who() as $name => $entry) {
            $method = $router->getRouteCollection()->get($name)?->getMethods()[0] ?? 'GET';
            $body = match (true) {
                !isset($entry[2]) => null,
                self::PICTURE === $entry[2] => (string) base64_decode(self::PICTURE, true),
                \is_string($entry[2]) => $entry[2],
                default => strtr(json_encode($entry[2], \JSON_THROW_ON_ERROR), $fill),
            };
            // not by the client, which would read the page of the application as HTML
            $answer = $this->client->getKernel()->handle(
                Request::create(
                    'http://localhost'.strtr($entry[1], $fill),
                    $method,
                    cookies: $this->client->getCookieJar()->allValues('http://localhost'),
                    server: [
                        'CONTENT_TYPE' => 'application/json',
                        'HTTP_ORIGIN' => 'http://localhost',
                        'HTTP_X_CSRF_TOKEN' => 'csrf-token',
                    ],
                    content: $body,
                ),
            );
            $told = \sprintf(
                '%s %s by "%s": %d %s',
                $method,
                $entry[1],
                $person,
                $answer->getStatusCode(),
                substr((string) $answer->getContent(), 0, 200),
            );
            if (\in_array($entry[0], self::PERSONS[$person], true)) {
                // 409: let in, though what is asked makes no sense of this tree; never 404 or 422, which would hide who
                // is let in
                self::assertContains($answer->getStatusCode(), [200, 201, 204, 302, 409], $told);
            } else {
                self::assertSame('' === $person ? 401 : 403, $answer->getStatusCode(), $told);
            }
            if (
                '' !== $person
                && \in_array($name, ['app_account_session_password', 'app_account_session_endall'], true)
            ) {
                $this->signIn($person); // these end the session
            }
        }
    }
}
