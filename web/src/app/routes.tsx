import { BrowserRouter, Route, Routes } from 'react-router'
import { Failed } from './Failed'
import { Frame } from './Frame'
import { place } from '../device/place'
import { ToNotebook } from './ToNotebook'

export const Today = place(() => import('../places/today/Today'), 'Today')
const Lost = place(() => import('./Lost'), 'Lost')
const Preps = place(() => import('../places/preps/Preps'), 'Preps')
const Prep = place(() => import('../places/prep/Prep'), 'Prep')
const Labels = place(() => import('../places/prep/Labels'), 'Labels')
const Instruments = place(() => import('../places/instruments/Instruments'), 'Instruments')
const MeltPage = place(() => import('../places/melt/MeltPage'), 'MeltPage')
const Unknowns = place(() => import('../places/unknowns/Unknowns'), 'Unknowns')
const Case = place(() => import('../places/unknowns/Case'), 'Case')
const PlatePage = place(() => import('../places/plates/PlatePage'), 'PlatePage')
const Explained = place(() => import('../places/explained/Explained'), 'Explained')
const Glossary = place(() => import('../places/explained/Glossary'), 'Glossary')
const Instructors = place(() => import('../places/explained/Instructors'), 'Instructors')
const ClassFit = place(() => import('../places/explained/ClassFit'), 'ClassFit')
const Practice = place(() => import('../places/practice/Practice'), 'Practice')
const Exercise = place(() => import('../places/practice/Exercise'), 'Exercise')
const MadePractice = place(() => import('../places/practice/GivenExercise'), 'GivenExercise')
const ForInstructors = place(() => import('../places/practice/ForInstructors'), 'ForInstructors')
const PracticalPage = place(() => import('../places/practice/PracticalPage'), 'PracticalPage')
const ThisNotebook = place(() => import('../places/keeping/ThisNotebook'), 'ThisNotebook')
const Shelf = place(() => import('../places/shelf/Shelf'), 'Shelf')

/** Every place is a chunk of its own; the address names notebook, prep and station, so a link lands in place. */
export function App() {
  return (
    <BrowserRouter>
      <Failed>
        <Routes>
          <Route path="/" element={<Frame />}>
            <Route index element={<ToNotebook place="" />} />
            {['preps', 'unknowns', 'instruments', 'shelf', 'practice'].map((name) => (
              <Route key={name} path={name} element={<ToNotebook place={`/${name}`} />} />
            ))}
            <Route path="n/:notebook">
              <Route index element={<Today />} />
              <Route path="preps" element={<Preps />} />
              <Route path="preps/:prep/labels" element={<Labels />} />
              <Route path="preps/:prep/:station?" element={<Prep />} />
              <Route path="instruments/:instrument?" element={<Instruments />} />
              <Route path="melts/:melt" element={<MeltPage />} />
              <Route path="unknowns" element={<Unknowns />} />
              <Route path="unknowns/:unknown/:station?" element={<Case />} />
              <Route path="plates/:plate" element={<PlatePage />} />
              <Route path="explained" element={<Explained />} />
              <Route path="glossary" element={<Glossary />} />
              <Route path="for-instructors" element={<Instructors />} />
              <Route path="for-instructors/class" element={<ClassFit />} />
              <Route path="shelf" element={<Shelf />} />
              <Route path="this-notebook" element={<ThisNotebook />} />
              <Route path="practice" element={<Practice />} />
              <Route path="practice/for-instructors" element={<ForInstructors />} />
              <Route path="practice/made/:code" element={<MadePractice />} />
              <Route path="practice/practicals/:practical" element={<PracticalPage />} />
              <Route path="practice/:exercise" element={<Exercise />} />
            </Route>
          </Route>
          <Route path="*" element={<Lost />} />
        </Routes>
      </Failed>
    </BrowserRouter>
  )
}
