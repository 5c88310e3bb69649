package app.clearpane.demo;

import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.papers.AddPaper;
import app.clearpane.usecases.papers.AnswerPaper;
import app.clearpane.usecases.papers.SendPaper;
import app.clearpane.usecases.papers.SettlePaper;

/** All that is done with papers in the story. */
record Paperwork(AddPaper add, SendPaper send, SettlePaper settle, AnswerPaper answer, Papers papers) {}
