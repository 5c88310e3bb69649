package app.clearpane.demo;

import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.ReviewSupplied;
import app.clearpane.usecases.supply.SendRequest;
import app.clearpane.usecases.supply.SupplyFiles;
import app.clearpane.usecases.supply.SupplyWords;
import app.clearpane.usecases.supply.question.AnswerQuestions;
import app.clearpane.usecases.supply.question.DraftQuestionnaire;

/** All that is done with requests in the story. */
record Supplies(
        DraftRequest draft,
        SendRequest send,
        SupplyFiles files,
        SupplyWords words,
        ReviewSupplied review,
        DraftQuestionnaire questionnaires,
        AnswerQuestions answer,
        Questionnaires answered,
        Requests requests) {}
